import { useCallback } from 'react'
import type { Account } from '@/core/plan'
import { Chart, type ChartPaint } from '@/ui/Chart'
import { curve } from '@/ui/curves'

const MINUTE = 60

/** Pieces through as they were counted, beside the pace that was planned from the first of them on. */
export function ThroughChart({ account: { through, pace } }: { readonly account: Account }) {
  const draw = useCallback(
    (paint: ChartPaint) => {
      const first = through[0]
      const last = through.at(-1)
      const was = through.map((t) => [t.at / MINUTE, t.pieces] as const)
      const planned =
        pace && first && last
          ? [
              [first.at / MINUTE, first.pieces] as const,
              [
                first.at / MINUTE + (last.pieces - first.pieces) / pace.planned / MINUTE,
                last.pieces,
              ] as const,
            ]
          : []
      return {
        grid: { left: 46, right: 90, top: 26, bottom: 40 },
        xAxis: { type: 'value', name: 'minutes', nameLocation: 'middle', nameGap: 24, ...axis(paint) },
        yAxis: { type: 'value', name: 'pieces', ...axis(paint) },
        series: [
          curve(paint, 'counted', was, { width: 2.2 }),
          ...(planned.length > 0
            ? [curve(paint, 'planned', planned, { dash: 'dashed', colour: paint.soft })]
            : []),
        ],
      }
    },
    [through, pace],
  )
  return <Chart label="Pieces through by time, beside the planned pace" draw={draw} height={240} />
}

const axis = ({ soft, rule, text }: ChartPaint) => ({
  nameTextStyle: { ...text, color: soft },
  axisLabel: { ...text, color: soft },
  axisLine: { lineStyle: { color: soft } },
  splitLine: { lineStyle: { color: rule } },
})
