import { useCallback } from 'react'
import type { Account } from '@/core/plan'
import { Chart, type ChartPaint } from '@/ui/Chart'
import { axes } from './axes'

const SYMBOLS = ['circle', 'rect', 'triangle', 'diamond', 'roundRect', 'arrow'] as const

/** Each run as a mark at its day: how its pace was beside what was planned. A press has a shape. */
export function PaceChart({ accounts }: { readonly accounts: readonly Account[] }) {
  const draw = useCallback(
    (paint: ChartPaint) => {
      const presses = [...new Set(accounts.map((a) => a.press))].sort()
      return {
        grid: { left: 56, right: 20, top: 46, bottom: 26 },
        legend: {
          data: presses,
          top: 0,
          left: 0,
          borderColor: paint.rule,
          textStyle: paint.text,
        },
        xAxis: { type: 'time', ...axes(paint) },
        yAxis: {
          type: 'value',
          scale: true,
          ...axes(paint),
          axisLabel: { ...paint.text, color: paint.soft, formatter: '{value} %' },
        },
        series: presses.map((press, i) => ({
          type: 'line',
          name: press,
          lineStyle: { width: 0, opacity: 0 },
          silent: true,
          symbol: SYMBOLS[i % SYMBOLS.length],
          symbolSize: 9,
          itemStyle: {
            color: i % 2 === 0 ? paint.ink : paint.raised,
            borderColor: paint.ink,
            borderWidth: 1.5,
          },
          data: accounts
            .flatMap((a) =>
              a.press === press && a.pace
                ? [[a.on, Math.round((a.pace.was / a.pace.planned - 1) * 100)] as const]
                : [],
            )
            .reverse(),
          ...(i === 0 && {
            markLine: {
              silent: true,
              symbol: 'none',
              lineStyle: { color: paint.soft, type: 'solid', width: 1 },
              label: {
                formatter: 'as planned',
                position: 'insideStartTop',
                ...paint.text,
                color: paint.soft,
              },
              data: [{ yAxis: 0 }],
            },
          }),
        })),
      }
    },
    [accounts],
  )
  return <Chart label="Pace of each run beside its plan, by day and press" draw={draw} height={260} />
}
