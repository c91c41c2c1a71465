import type { ChartPaint } from '@/ui/Chart'

/** Letters and lines of an axis; every colour is said, for what the library gives by itself is blue. */
export const axes = ({ soft, rule, text }: ChartPaint) => ({
  nameTextStyle: { ...text, color: soft },
  axisLabel: { ...text, color: soft, hideOverlap: true },
  axisLine: { lineStyle: { color: soft } },
  axisTick: { lineStyle: { color: soft } },
  splitLine: { lineStyle: { color: rule } },
})
