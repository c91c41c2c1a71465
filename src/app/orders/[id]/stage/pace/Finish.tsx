import { Box, Flex } from '@chakra-ui/react'
import { useCallback, useMemo, useState } from 'react'
import { numberOf, q } from '@/core/advice'
import { writeClock } from '@/core/quantity'
import { RATE, type RunTime, type Spread } from '@/core/rate'
import { AskNumber } from '@/ui/AskNumber'
import { Chart, type ChartPaint } from '@/ui/Chart'
import { Headline } from '@/ui/parts'
import { Section, TextButton } from '@/ui/Section'
import { useOrder } from '../../orderContext'
import { useSpread } from './useSpread'

const DAY = 24 * 3600
/** Pixels. */
const CHART = 150

/** A time of day, some days after the start. */
const say = (seconds: number) => {
  const days = Math.floor(seconds / DAY)
  return `${writeClock(seconds % DAY)}${days === 0 ? '' : days === 1 ? ' next day' : ` in ${days} days`}`
}

/** To the quarter of an hour or the hour where the bars are that wide: nobody reads 20:26 off a chart of days. */
const even = (seconds: number, step: number) => {
  const mark = step >= 3600 ? 3600 : step >= 900 ? 900 : 60
  return Math.round(seconds / mark) * mark
}

/** When the run would be done if it began as the shop opens: the same run many times over. */
export function Finish({ time, driesIn }: { readonly time: RunTime; readonly driesIn: boolean }) {
  const { hours } = useOrder().shelf.shop
  const [relief, setRelief] = useState(false)
  const { setup, need, most } = time
  const run = useMemo(() => {
    const range = setup.chosen === undefined ? setup.range : ([numberOf(setup), numberOf(setup)] as const)
    return { cycle: need, setup: range, most, driesIn, relief }
  }, [setup, need, most, driesIn, relief])
  const { spread, done, stop } = useSpread(run, hours)
  const reasons = [
    RATE.because('SPREAD', { runs: q('count', spread?.runs ?? 0), prints: '6 to 12' }),
    RATE.because('FINISH', {
      work: q('workTime', numberOf(time.total)),
      from: writeClock(hours.from),
      breaks: hours.breaks.map((b) => `${writeClock(b.from)} to ${writeClock(b.to)}`).join(', ') || 'none',
    }),
  ]
  const at = (label: string, seconds: number) => (
    <Headline label={label}>
      <AskNumber label={label} reasons={reasons}>
        {say(hours.from + seconds)}
      </AskNumber>
    </Headline>
  )
  return (
    <Section title={`Finish time, if started at opening, ${writeClock(hours.from)}`}>
      <Box minHeight={`calc(${CHART}px + 4.2rem)`} position="relative">
        {done !== undefined && (
          <Flex
            gap="3"
            align="center"
            position="absolute"
            right="0"
            top="0"
            role="status"
            aria-label="Simulating the run"
          >
            <progress value={done} max={1} />
            <TextButton onClick={stop}>stop</TextButton>
          </Flex>
        )}
        {spread && (
          <>
            <Flex gap="10" mb="2" wrap="wrap">
              {at('50 %', spread.middle)}
              {at('80 %', spread.eighty)}
              {at('95 %', spread.most)}
            </Flex>
            <Histogram spread={spread} from={hours.from} />
          </>
        )}
      </Box>
      {driesIn && (
        <Box as="label" fontSize="small">
          <input type="checkbox" checked={relief} onChange={(e) => setRelief(e.target.checked)} /> someone
          prints on through the breaks: ink that dries in need not be washed out
        </Box>
      )}
    </Section>
  )
}

function Histogram({ spread, from }: { readonly spread: Spread; readonly from: number }) {
  const draw = useCallback(
    ({ ink, soft, text }: ChartPaint) => ({
      grid: { left: 8, right: 8, top: 26, bottom: 24 },
      xAxis: {
        type: 'category',
        data: spread.bins.map((_, i) => say(even(from + spread.from + i * spread.step, spread.step))),
        axisLabel: { ...text, color: soft, hideOverlap: true },
        axisTick: { show: false },
        axisLine: { lineStyle: { color: soft } },
      },
      yAxis: { type: 'value', show: false },
      series: [
        {
          type: 'bar',
          data: [...spread.bins],
          barCategoryGap: '12%',
          silent: true,
          itemStyle: { color: soft },
          markLine: {
            silent: true,
            symbol: 'none',
            lineStyle: { color: ink, type: 'solid', width: 1.5 },
            label: { ...text, formatter: '{b}' },
            data: [
              { name: '50 %', xAxis: binOf(spread, spread.middle) },
              { name: '80 %', xAxis: binOf(spread, spread.eighty) },
              { name: '95 %', xAxis: binOf(spread, spread.most) },
            ],
          },
        },
      ],
    }),
    [spread, from],
  )
  return <Chart label="How often the run ends when" draw={draw} height={CHART} />
}

const binOf = (s: Spread, seconds: number) =>
  Math.min(s.bins.length - 1, Math.floor((seconds - s.from) / s.step))
