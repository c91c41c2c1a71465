import { Box, Flex } from '@chakra-ui/react'
import { useCallback, useMemo } from 'react'
import type { Moment } from '@/core/heat'
import type { RunHeat, LapTrace as Traced } from '@/core/plan'
import { shownUnit, writeQuantity } from '@/core/quantity'
import { Chart, type ChartPaint } from '@/ui/Chart'
import { cellShares, type StripScale, stripCells, WIDEST } from '@/ui/lap/stripCells'
import { useSettings } from '@/ui/settings'
import type { PlanProps } from '../planProps'
import { acrossLap, type Edge } from './acrossLap'

interface Props extends PlanProps {
  readonly trace: Traced
  readonly heat: RunHeat
  /** The strip that it lies under, cell below cell; without, all of it to one scale of time. */
  readonly under?: StripScale | undefined
}

const HEIGHT = 270
/** A number or a time is written where the one before it is at least so far off, as a share of the width. */
const APART = 0.045
/** A limit is named where it is drawn at least so wide. */
const WIDE = 0.14
const CURVES = [
  { name: 'film', of: (m: Moment) => m.film, type: 'solid', width: 2.4 },
  { name: 'cloth', of: (m: Moment) => m.cloth, type: 'dashed', width: 1.6 },
  { name: 'board', of: (m: Moment) => m.board, type: 'dotted', width: 1.6 },
] as const

/** Film, cloth and board of one garment along the strip's own cells, against where it gels, closes and may be printed on. */
export function LapTrace({ plan, trace, heat, under }: Props) {
  const { units } = useSettings()
  const across = useMemo(() => {
    const { cells } = stripCells(plan)
    return acrossLap(trace, cells, under && cellShares(plan, cells, under))
  }, [plan, trace, under])
  const draw = useCallback(
    (paint: ChartPaint) => {
      const { factor, offset = 0, symbol } = shownUnit('temperature', units)
      const shown = (kelvin: number) => (kelvin - offset) / factor
      const { moments, films } = trace
      const closes = films.flatMap((f) => f.closes ?? [])
      const hottest = Math.max(heat.safe, ...closes, ...moments.map((m) => m.film))
      const coldest = Math.min(...moments.map((m) => m.board))
      const tick = 20 * Math.ceil((shown(hottest) - shown(coldest)) / 180)
      const soft = { ...paint.text, color: paint.soft }
      const said = (kelvin: number) => writeQuantity('temperature', kelvin, units)
      const spans = films.map((f) => ({ ...f, x: [across.xOf(f.from), across.xOf(f.to)] as const }))
      const limit = { symbol: 'none', label: { show: false } }
      const named = (text: string, wide: boolean) => ({
        show: wide,
        formatter: text,
        position: 'insideEndTop',
      })
      return {
        // The library's own colour is blue.
        color: [paint.ink],
        grid: { left: 0, right: 1, top: 20, bottom: 20 },
        xAxis: { type: 'value', min: 0, max: 1, show: false },
        yAxis: {
          type: 'value',
          min: tick * Math.floor((shown(coldest) - 2) / tick),
          max: tick * Math.ceil((shown(hottest) + tick / 4) / tick),
          interval: tick,
          axisLabel: {
            ...soft,
            inside: true,
            margin: 3,
            showMaxLabel: false,
            showMinLabel: false,
            verticalAlign: 'bottom',
            formatter: `{value} ${symbol}`,
          },
          splitLine: { lineStyle: { color: paint.rule } },
          axisLine: { show: false },
          axisTick: { show: false },
        },
        series: CURVES.map(({ name, of, type, width }) => ({
          type: 'line',
          name,
          data: moments.map((m) => [across.xOf(m.at), shown(of(m))]),
          symbol: 'none',
          silent: true,
          lineStyle: { color: paint.ink, width, type },
          ...(name === 'film' && {
            markArea: {
              silent: true,
              itemStyle: { color: paint.soft, opacity: 0.22 },
              label: { ...soft, position: 'insideRight' },
              data: spans.flatMap(({ gels, x }) =>
                gels
                  ? [
                      [
                        {
                          coord: [x[0], shown(gels[0])],
                          label: {
                            show: x[1] - x[0] > WIDE,
                            formatter: `gels ${said(gels[0])} to ${said(gels[1])}`,
                          },
                        },
                        { coord: [x[1], shown(gels[1])] },
                      ],
                    ]
                  : [],
              ),
            },
            markLine: {
              silent: true,
              symbol: 'none',
              precision: 6,
              label: soft,
              lineStyle: { color: paint.soft, type: 'solid', width: 1 },
              data: [
                {
                  yAxis: shown(heat.safe),
                  label: { formatter: `safe to print ${said(heat.safe)}`, position: 'insideEndTop' },
                },
                ...spans.flatMap(({ closes, x }) =>
                  closes === undefined
                    ? []
                    : [
                        [
                          {
                            coord: [x[0], shown(closes)],
                            ...limit,
                            lineStyle: { color: paint.ink, width: 1.6, type: [8, 3] },
                            label: named(`over-flashed ${said(closes)}`, x[1] - x[0] > WIDE),
                          },
                          { coord: [x[1], shown(closes)], symbol: 'none' },
                        ],
                      ],
                ),
                ...edgeLines(across.edges, paint),
              ],
            },
          }),
        })),
      }
    },
    [across, trace, heat, units],
  )
  return (
    <Box style={under && { maxWidth: `${across.edges.length * WIDEST}rem` }}>
      <Chart label="Film, cloth and board of this garment" draw={draw} height={HEIGHT} />
      <Flex wrap="wrap" columnGap="5" fontSize="small" color="soft">
        {CURVES.map(({ name, type, width }) => (
          <Flex key={name} align="center" gap="2">
            <Box width="1.8rem" borderTop={`${Math.round(width)}px ${type}`} borderColor="ink" />
            {name}
          </Flex>
        ))}
        <span>seconds on the board below each place</span>
      </Flex>
      {!under && (
        <Box fontSize="small" color="soft">
          {across.edges
            .flatMap(({ place, cell }) => {
              const hit = cell.kind === 'print' && plan.hits.find((h) => h.hit.id === cell.hitId)
              if (hit) return `${place} ${hit.hit.name}`
              return cell.kind === 'flash' ? `${place} flash` : []
            })
            .join(' · ')}
        </Box>
      )}
    </Box>
  )
}

/** Where each place begins: its number above, the seconds below. */
function edgeLines(edges: readonly Edge[], { rule }: ChartPaint) {
  let [numbered, timed] = [-1, -1]
  return edges.flatMap(({ x, at, place }) => {
    const line = { xAxis: x, lineStyle: { color: rule, type: 'solid', width: 1 } }
    let align = x < APART ? 'left' : 'center'
    if (x > 1 - APART) align = 'right'
    const label = (formatter: string, position: string) => ({
      ...line,
      label: { formatter, position, distance: 3, align },
    })
    const out = []
    if (x - numbered >= APART) {
      numbered = x
      out.push(label(place, 'end'))
    }
    if (x - timed >= APART) {
      timed = x
      out.push(label(`${Math.round(at)} s`, 'start'))
    }
    return out
  })
}
