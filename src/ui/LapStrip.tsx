'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { type KeyboardEvent, useEffect, useRef } from 'react'
import { because, choiceOf, numberOf, q, type Reason } from '@/core/advice'
import { type Cell, FACT_RULES, lapStripShape, type RunPlan, type StripCell } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { AskNumber } from './AskNumber'
import { useDesk } from './desk'
import { Measure } from './Measure'
import { usePaint } from './paint'
import { useSettings } from './settings'

const Button = chakra('button')
const STACK = 92

interface LapStripProps {
  readonly plan: RunPlan
  /** Puts a hit one place earlier or later in the order. */
  readonly onMove: (hitId: string, step: -1 | 1) => void
}

/** The press unrolled into a strip: what hangs at each place, and the ink on the cloth when a garment leaves it. */
export function LapStrip({ plan, onMove }: LapStripProps) {
  const { cells, tallest } = lapStripShape(plan)
  const ring = plan.press.kind === 'automatic'
  const strip = useRef<HTMLDivElement>(null)
  const moved = useRef<string>(undefined)
  // The focus goes with the screen that was moved.
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new plan is what moves the cells
  useEffect(() => {
    if (moved.current === undefined) return
    strip.current?.querySelector<HTMLElement>(`[data-cell="${CSS.escape(moved.current)}"]`)?.focus()
    moved.current = undefined
  }, [plan])
  const move = (hitId: string, step: -1 | 1) => {
    moved.current = hitId
    onMove(hitId, step)
  }
  return (
    <Box ref={strip}>
      <Flex as="ol" listStyleType="none" aria-label="Lap strip" width="100%">
        {cells.map((c, i) => (
          <CellView
            // biome-ignore lint/suspicious/noArrayIndexKey: a place of the strip is its index
            key={i}
            plan={plan}
            strip={c}
            tallest={tallest}
            place={ring && 'station' in c.cell ? String(c.cell.station) : String(i + 1)}
            onMove={move}
          />
        ))}
      </Flex>
      <Flex justify="space-between" fontSize="0.8rem" color="soft" mt="1">
        <Box as="span">
          {ring ? 'Stations between load and unload' : 'Steps at the press'}. Alt with an arrow key moves a
          screen, w asks why.
        </Box>
        <Box as="span">
          tallest film{' '}
          <AskNumber
            label="Tallest film"
            reasons={[because(FACT_RULES, 'TALLEST', { film: q('film', tallest) })]}
          >
            <Measure kind="film" value={tallest} />
          </AskNumber>
        </Box>
      </Flex>
    </Box>
  )
}

interface CellProps {
  readonly plan: RunPlan
  readonly strip: StripCell
  readonly tallest: number
  readonly place: string
  readonly onMove: LapStripProps['onMove']
}

function CellView({ plan, strip, tallest, place, onMove }: CellProps) {
  const { ask } = useDesk()
  const { cell } = strip
  const { title, reasons } = story(plan, cell)
  const open = () => ask({ kind: 'event', label: title, reasons })
  const keys = (e: KeyboardEvent) => {
    if (e.key === 'w' && !e.ctrlKey && !e.metaKey) open()
    else if (e.altKey && cell.kind === 'print' && e.key === 'ArrowLeft') onMove(cell.hitId, -1)
    else if (e.altKey && cell.kind === 'print' && e.key === 'ArrowRight') onMove(cell.hitId, 1)
    else return
    e.preventDefault()
    e.stopPropagation()
  }
  const works = cell.kind === 'print' || cell.kind === 'flash'
  return (
    <Box
      as="li"
      flex={works ? '1.35 1 0' : '0.7 1 0'}
      minWidth="0"
      borderLeft="1px solid"
      borderColor="rule"
      _last={{ borderRight: '1px solid', borderColor: 'rule' }}
    >
      <Button
        type="button"
        onClick={open}
        onKeyDown={keys}
        data-cell={cell.kind === 'print' ? cell.hitId : cell.kind}
        aria-label={`${place}: ${title}`}
        display="block"
        width="100%"
        textAlign="left"
        cursor="pointer"
      >
        <Box
          as="span"
          display="block"
          px="1.5"
          fontSize="1.25rem"
          fontWeight="700"
          fontStretch="75%"
          color={works ? 'ink' : 'soft'}
        >
          {place}
        </Box>
        <Top plan={plan} cell={cell} />
        <Stack plan={plan} strip={strip} tallest={tallest} />
      </Button>
    </Box>
  )
}

/** What hangs or stands at the place. */
function Top({ plan, cell }: { readonly plan: RunPlan; readonly cell: Cell }) {
  const { units } = useSettings()
  const { background } = usePaint()
  const lines = (big: string, ...rest: string[]) => (
    <Box as="span" display="block" px="1.5" pt="1.5" minHeight="6.4rem" fontSize="0.84rem" lineHeight="1.25">
      <Box as="span" display="block" fontWeight="650" fontStretch="82%" overflowWrap="anywhere">
        {big}
      </Box>
      {rest.map((line) => (
        <Box as="span" display="block" key={line} color="soft" fontStretch="80%">
          {line}
        </Box>
      ))}
    </Box>
  )
  const hit = cell.kind === 'print' ? plan.hits.find((h) => h.hit.id === cell.hitId) : undefined
  const flash = cell.kind === 'flash' ? plan.flashes[cell.flash] : undefined
  if (hit) {
    const strokes = numberOf(hit.stroke.strokes)
    return (
      <>
        <Box
          as="span"
          display="block"
          height="14px"
          boxShadow="inset 0 0 0 1px {colors.ring}"
          style={{ background: hit.hit.role === 'smoothing' ? 'transparent' : background(hit.hex) }}
        />
        {lines(
          hit.hit.name,
          writeQuantity('meshCount', numberOf(hit.mesh), units),
          choiceOf(hit.stroke.blade),
          strokes === 1 ? '1 stroke' : `${strokes} strokes`,
        )}
      </>
    )
  }
  const empty = <Box as="span" display="block" height="14px" />
  if (flash)
    return (
      <>
        <Flash />
        {lines(
          flash.unit ? 'Flash' : 'Dry',
          writeQuantity('duration', numberOf(flash.dwell), units),
          flash.unit?.name ?? 'lamp or rack',
        )}
      </>
    )
  const words = { cool: ['cools'], down: ['head down', 'cools'], free: ['free'] }[
    cell.kind as 'cool' | 'down' | 'free'
  ]
  return (
    <>
      {empty}
      {lines('', ...words)}
    </>
  )
}

/** Heat, drawn as bars: the one mark that is no ink. */
const Flash = () => (
  <svg width="100%" height="14" aria-hidden="true" preserveAspectRatio="none" viewBox="0 0 40 14">
    {[1, 9, 17, 25, 33].map((x) => (
      <rect key={x} x={x} y="0" width="4" height="14" fill="currentColor" />
    ))}
  </svg>
)

/** The cross-section to scale: cloth below, films above; a dashed top is still wet. */
function Stack({
  plan,
  strip,
  tallest,
}: {
  readonly plan: RunPlan
  readonly strip: StripCell
  readonly tallest: number
}) {
  const { fill } = usePaint()
  const y = (h: number) => STACK - (h / tallest) * (STACK - 10)
  return (
    <svg
      width="100%"
      height={STACK + 12}
      viewBox={`0 0 100 ${STACK + 12}`}
      preserveAspectRatio="none"
      aria-hidden="true"
      style={{ display: 'block' }}
    >
      <rect x="0" y={STACK} width="100" height="12" fill={fill(plan.cloth.hex)} />
      <line
        x1="0"
        x2="100"
        y1={STACK}
        y2={STACK}
        stroke="var(--chakra-colors-ring)"
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
      />
      {strip.layers.map((l) => (
        <g key={l.hitId}>
          <rect
            x={l.from * 96 + 2}
            width={(l.to - l.from) * 96}
            y={y(l.top)}
            height={Math.max(1, y(l.bottom) - y(l.top))}
            fill={fill(l.hex)}
            stroke={l.fresh ? 'currentColor' : 'var(--chakra-colors-ring)'}
            strokeWidth={l.fresh ? 2 : 0.7}
            strokeDasharray={l.wet ? '3 2' : undefined}
            vectorEffect="non-scaling-stroke"
          />
        </g>
      ))}
    </svg>
  )
}

/** What the Why panel tells about a place. */
function story(plan: RunPlan, cell: Cell): { readonly title: string; readonly reasons: readonly Reason[] } {
  switch (cell.kind) {
    case 'print': {
      const hit = plan.hits.find((h) => h.hit.id === cell.hitId)
      return { title: hit?.hit.name ?? '', reasons: hit?.reasons ?? [] }
    }
    case 'flash': {
      const flash = plan.flashes[cell.flash]
      return { title: `${flash?.unit ? 'Flash' : 'Dry'} ${cell.flash + 1}`, reasons: flash?.reasons ?? [] }
    }
    case 'cool':
      return { title: 'Cool-down', reasons: cell.reasons }
    case 'down':
      return { title: 'Head down', reasons: cell.reasons }
    case 'free':
      return { title: 'Free station', reasons: [] }
    default:
      return cell satisfies never
  }
}
