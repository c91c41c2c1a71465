'use client'

import { useCallback } from 'react'
import { Chart, type ChartPaint } from './Chart'

interface Series {
  readonly name: string
  /** ISO day and value as shown. */
  readonly points: readonly (readonly [string, number])[]
}

interface Props {
  readonly label: string
  readonly series: readonly Series[]
  /** Unit of the values. */
  readonly unit: string
  /** A value to stay above, with its name. */
  readonly least?: { readonly value: number; readonly name: string }
  readonly height?: number
}

/** Dashes tell lines apart where colours may not. */
const DASHES = ['solid', 'dashed', 'dotted', [9, 3, 2, 3], [3, 6], [14, 4]] as const
const SYMBOLS = ['circle', 'rect', 'triangle', 'diamond', 'roundRect', 'arrow'] as const

/** Lines that end at one value share one label, so that none is printed over another. */
const labelled = (series: readonly Series[]) => {
  const last = (s: Series) => s.points.at(-1)?.[1]
  return series.map((s) => {
    const alike = series.filter((o) => last(o) === last(s))
    return { ...s, label: alike[0] === s ? alike.map((o) => o.name).join(', ') : '' }
  })
}

/** Values over time. */
export function LineChart({ label, series, unit, least, height = 220 }: Props) {
  const draw = useCallback(
    ({ ink, soft, rule, text }: ChartPaint) => ({
      grid: { left: 46, right: 104, top: 30, bottom: 26 },
      xAxis: {
        type: 'time',
        axisLabel: { ...text, color: soft, hideOverlap: true },
        axisLine: { lineStyle: { color: soft } },
        splitLine: { show: false },
      },
      yAxis: {
        type: 'value',
        scale: true,
        name: unit,
        nameTextStyle: { ...text, color: soft },
        axisLabel: { ...text, color: soft },
        splitLine: { lineStyle: { color: rule } },
      },
      series: labelled(series).map((s, i) => ({
        type: 'line',
        name: s.name,
        data: s.points.map(([day, value]) => [day, value]),
        symbol: SYMBOLS[i % SYMBOLS.length],
        symbolSize: 7,
        silent: true,
        itemStyle: { color: ink },
        lineStyle: { color: ink, width: 1.6, type: DASHES[i % DASHES.length] },
        endLabel: { show: s.label !== '', formatter: s.label, ...text },
        labelLayout: { moveOverlap: 'shiftY' },
        ...(i === 0 && least
          ? {
              markLine: {
                silent: true,
                symbol: 'none',
                lineStyle: { color: soft, type: 'solid', width: 1 },
                label: { formatter: least.name, position: 'insideStartBottom', ...text, color: soft },
                data: [{ yAxis: least.value }],
              },
            }
          : {}),
      })),
    }),
    [series, unit, least],
  )
  return <Chart label={label} draw={draw} height={height} />
}
