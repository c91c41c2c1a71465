import type { ChartPaint } from './Chart'

/** A line of a chart that carries its name at its end, so that it needs no legend. */
export const curve = (
  { ink, text }: ChartPaint,
  name: string,
  data: readonly (readonly [number, number | null])[],
  { dash = 'solid', width = 1.6, colour = ink }: { dash?: string; width?: number; colour?: string } = {},
) => ({
  type: 'line',
  name,
  data,
  symbol: 'none',
  silent: true,
  lineStyle: { color: colour, width, type: dash },
  endLabel: { show: true, formatter: name, ...text, color: colour },
  labelLayout: { moveOverlap: 'shiftY' },
})

interface Across {
  readonly name: string
  readonly from?: number
  readonly to: number
  readonly say?: (x: number) => string
}

/** Room, ground and height of a chart of curves; every colour is said, for what the library gives by itself is blue. */
export const ground = ({ soft, rule, text }: ChartPaint, x: Across, unit: string) => ({
  grid: { left: 58, right: 128, top: 24, bottom: 40 },
  xAxis: {
    type: 'value',
    min: x.from ?? 0,
    max: x.to,
    name: x.name,
    nameLocation: 'middle',
    nameGap: 24,
    nameTextStyle: { ...text, color: soft },
    axisLabel: { ...text, color: soft, hideOverlap: true, ...(x.say && { formatter: x.say }) },
    splitLine: { show: false },
    axisLine: { lineStyle: { color: soft } },
    axisTick: { lineStyle: { color: soft } },
  },
  yAxis: {
    type: 'value',
    axisLabel: { ...text, color: soft, formatter: `{value} ${unit}` },
    splitLine: { lineStyle: { color: rule } },
    axisLine: { show: false },
    axisTick: { show: false },
  },
})
