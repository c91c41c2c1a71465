import { Box } from '@chakra-ui/react'
import { useCallback, useMemo } from 'react'
import { q } from '@/core/advice'
import { type Busy, RATE, type RunTime, simulate, USUAL_SPREAD } from '@/core/rate'
import { AskNumber } from '@/ui/AskNumber'
import { Chart, type ChartPaint } from '@/ui/Chart'
import { Measure } from '@/ui/Measure'
import { Section } from '@/ui/Section'

/** Garments until the press has found its rhythm, and seconds that are shown then. */
const WARM_UP = 24
const SHOWN = 90

interface Lane {
  readonly who: string
  readonly busy: readonly Busy[]
  /** Share of the time at work. */
  readonly use: number
}

/** Who is at work when, and how much of the time, over a minute and a half of the run. */
export function Timeline({ time }: { readonly time: RunTime }) {
  const lanes = useMemo(() => (time.need.press.kind === 'bench' ? [] : lanesOf(time)), [time])
  if (lanes.length === 0) return null
  return (
    <Section title="90 seconds of the run, simulated">
      <Lanes lanes={lanes} />
      <Box fontSize="small" color="soft">
        At work:{' '}
        {lanes.map((l, i) => (
          <span key={l.who}>
            {i > 0 && ', '}
            {l.who.toLowerCase()}{' '}
            <AskNumber
              label={`At work: ${l.who}`}
              reasons={[RATE.because('USE', { who: l.who, use: q('share', l.use) })]}
            >
              <Measure kind="share" value={l.use} />
            </AskNumber>
          </span>
        ))}
      </Box>
      <Box fontSize="small" color="soft">
        {`Hand times vary by ${Math.round(100 * USUAL_SPREAD)} %; machine times do not.`}
      </Box>
    </Section>
  )
}

function lanesOf({ need }: RunTime): readonly Lane[] {
  const { done, busy } = simulate(need, { garments: 3 * WARM_UP, spread: USUAL_SPREAD, seed: 7 })
  const [from, end] = [done[WARM_UP] ?? 0, done.at(-1) ?? 0]
  const inside = (to: number) => (b: Busy) => b.to > from && b.from < to
  const names = [...new Set(busy.map((b) => b.who))]
  return names.map((who) => {
    const own = busy.filter((b) => b.who === who && b.what !== 'wait').filter(inside(end))
    const worked = own.reduce((sum, b) => sum + Math.min(b.to, end) - Math.max(b.from, from), 0)
    const shown = busy
      .filter((b) => b.who === who)
      .filter(inside(from + SHOWN))
      .map((b) => ({ ...b, from: Math.max(0, b.from - from), to: Math.min(SHOWN, b.to - from) }))
    return { who, busy: shown, use: worked / (end - from) }
  })
}

function Lanes({ lanes }: { readonly lanes: readonly Lane[] }) {
  const draw = useCallback(
    ({ ink, soft, rule, text }: ChartPaint) => ({
      grid: { left: 132, right: 12, top: 6, bottom: 24 },
      xAxis: {
        type: 'value',
        min: 0,
        max: SHOWN,
        axisLabel: { ...text, color: soft, formatter: '{value} s' },
        splitLine: { lineStyle: { color: rule } },
      },
      yAxis: {
        type: 'category',
        inverse: true,
        data: lanes.map((l) => l.who),
        axisLabel: { ...text, width: 120, overflow: 'break' },
        axisTick: { show: false },
        axisLine: { show: false },
      },
      series: [
        {
          type: 'custom',
          silent: true,
          data: lanes.flatMap((l, i) => l.busy.map((b) => [i, b.from, b.to, b.what === 'wait' ? 1 : 0])),
          encode: { x: [1, 2], y: 0 },
          renderItem: (
            _: unknown,
            api: {
              value: (i: number) => number
              coord: (at: readonly number[]) => readonly [number, number]
              size: (of: readonly number[]) => readonly [number, number]
            },
          ) => {
            const [lane, from, to, waits] = [api.value(0), api.value(1), api.value(2), api.value(3)]
            const [x, y] = api.coord([from, lane])
            const [end] = api.coord([to, lane])
            const height = Math.min(20, api.size([0, 1])[1] * 0.6)
            return {
              type: 'rect',
              shape: { x, y: y - height / 2, width: Math.max(1, end - x - 1), height },
              style: waits ? { fill: 'none', stroke: soft, lineDash: [3, 2] } : { fill: ink },
            }
          },
        },
      ],
    }),
    [lanes],
  )
  return <Chart label="Who is at work when" draw={draw} height={40 + 34 * lanes.length} />
}
