import { Box } from '@chakra-ui/react'
import { useCallback, useMemo } from 'react'
import type { Happening, Moment } from '@/core/heat'
import type { RunHeat } from '@/core/plan'
import { shownUnit, writeQuantity } from '@/core/quantity'
import { Chart, type ChartPaint } from '@/ui/Chart'
import { curve, ground } from '@/ui/curves'
import { useSettings } from '@/ui/settings'

interface Props {
  readonly moments: readonly Moment[]
  readonly heat: RunHeat
}

const wordOf = (h: Happening | undefined): string => {
  if (h?.kind === 'print') return h.name
  return h?.kind === 'flash' ? 'flash' : ''
}

/** Film, cloth and board of one garment from loading to unloading. */
export function LapTrace({ moments, heat }: Props) {
  const { units } = useSettings()
  const starts = useMemo(() => startsOf(moments, heat.round.happenings), [moments, heat])
  const draw = useCallback(
    (paint: ChartPaint) => {
      const { factor, offset = 0, symbol } = shownUnit('temperature', units)
      const shown = (kelvin: number) => (kelvin - offset) / factor
      const points = (of: (m: Moment) => number) => moments.map((m): [number, number] => [m.at, shown(of(m))])
      const across = {
        name: 'seconds on the board',
        to: moments.at(-1)?.at ?? 1,
        say: (x: number) => String(Math.round(x)),
      }
      return {
        ...ground(paint, across, symbol),
        series: [
          {
            ...curve(
              paint,
              'film',
              points((m) => m.film),
              { width: 2.4 },
            ),
            markLine: {
              silent: true,
              symbol: 'none',
              label: { ...paint.text, color: paint.soft },
              lineStyle: { color: paint.soft, type: 'solid', width: 1 },
              data: [
                {
                  yAxis: shown(heat.safe),
                  label: {
                    formatter: `safe to print ${writeQuantity('temperature', heat.safe, units)}`,
                    position: 'insideStartTop',
                  },
                },
                ...starts.map(({ at }, i) => ({
                  xAxis: at,
                  lineStyle: { color: paint.rule, type: 'solid' },
                  label: { formatter: String(i + 1), position: 'end', distance: 3 },
                })),
              ],
            },
          },
          curve(
            paint,
            'cloth',
            points((m) => m.cloth),
            { dash: 'dashed' },
          ),
          curve(
            paint,
            'board',
            points((m) => m.board),
            { dash: 'dotted' },
          ),
        ],
      }
    },
    [moments, heat, starts, units],
  )
  return (
    <>
      <Chart label="Film, cloth and board of this garment" draw={draw} height={250} />
      <Box fontSize="small" color="soft">
        {starts.map(({ word }, i) => `${i + 1} ${word}`).join(' · ')}
      </Box>
    </>
  )
}

/** What begins at nearly the same moment has one number. */
const APART = 1 / 30

/** Where prints and flashes begin, in order. */
function startsOf(moments: readonly Moment[], happenings: readonly Happening[]) {
  let at = 0
  const found: { at: number; words: string[] }[] = []
  const end = moments.at(-1)?.at ?? 1
  for (const h of happenings) {
    const word = wordOf(h)
    const last = found.at(-1)
    if (word && last && at - last.at < end * APART) last.words.push(word)
    else if (word) found.push({ at, words: [word] })
    if (h.kind === 'wait' || h.kind === 'flash') at += typeof h.time === 'number' ? h.time : 0
  }
  return found.map(({ at, words }) => ({ at, word: words.join(', ') }))
}
