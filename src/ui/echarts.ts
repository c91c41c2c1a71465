import { BarChart, CustomChart, LineChart } from 'echarts/charts'
import { GridComponent, LegendComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components'
import { init, use } from 'echarts/core'
import { LabelLayout } from 'echarts/features'
import { SVGRenderer } from 'echarts/renderers'

use([
  BarChart,
  CustomChart,
  LineChart,
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  LabelLayout,
  SVGRenderer,
])

/** Drawn as SVG, so that print and safelight can restyle it. */
export const startChart = (box: HTMLElement) => init(box, undefined, { renderer: 'svg' })
