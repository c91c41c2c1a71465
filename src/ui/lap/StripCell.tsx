import { Box } from '@chakra-ui/react'
import { useDraggable, useDroppable } from '@dnd-kit/core'
import type { KeyboardEvent, ReactNode } from 'react'
import { choiceOf, numberOf, type Reason } from '@/core/advice'
import type { Cell, RunPlan, StripCell as Strip } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { useDesk } from '../desk'
import { Button } from '../elements'
import { usePaint } from '../paint'
import { useSettings } from '../settings'
import { InkStack } from './InkStack'

/** What a cell of a strip that can be worked on answers to. */
export interface CellHands {
  /** A screen is moved at once: Alt with an arrow. */
  readonly onStep: (hitId: string, step: -1 | 1) => void
  /** A screen is taken up, to be put down elsewhere: `m`. */
  readonly onLift: (hitId: string) => void
  /** A flash is wanted behind a screen, or no more: `f`. */
  readonly onFlash: (hitId: string) => void
}

interface CellProps {
  readonly plan: RunPlan
  readonly strip: Strip
  readonly tallest: number
  readonly place: string
  /** None on a strip that is only looked at. */
  readonly hands: CellHands | undefined
  readonly lifted: boolean
  /** What is carried would be put down here. */
  readonly target: boolean
}

/** One place of the strip: what is mounted there, how it is struck, and the ink on the cloth behind it. */
export function StripCell(props: CellProps) {
  const { cell } = props.strip
  return props.hands && cell.kind === 'print' ? (
    <Movable {...props} hands={props.hands} hitId={cell.hitId} />
  ) : (
    <Shown {...props} />
  )
}

function Movable({
  hands,
  hitId,
  ...props
}: CellProps & { readonly hands: CellHands; readonly hitId: string }) {
  const drag = useDraggable({ id: hitId })
  const drop = useDroppable({ id: hitId })
  const keys = (e: KeyboardEvent): boolean => {
    if (e.altKey && e.key === 'ArrowLeft') hands.onStep(hitId, -1)
    else if (e.altKey && e.key === 'ArrowRight') hands.onStep(hitId, 1)
    else if (e.key === 'm' && !e.ctrlKey && !e.metaKey) hands.onLift(hitId)
    else if (e.key === 'f' && !e.ctrlKey && !e.metaKey) hands.onFlash(hitId)
    else return false
    return true
  }
  return (
    <Shown
      {...props}
      hands={hands}
      keys={keys}
      hold={(node) => {
        drag.setNodeRef(node)
        drop.setNodeRef(node)
      }}
      pointer={drag.listeners}
    />
  )
}

interface ShownProps extends CellProps {
  readonly keys?: (e: KeyboardEvent) => boolean
  readonly hold?: (node: HTMLElement | null) => void
  readonly pointer?: Readonly<Record<string, unknown>> | undefined
}

function Shown({ plan, strip, tallest, place, hands, lifted, target, keys, hold, pointer }: ShownProps) {
  const { ask } = useDesk()
  const { cell } = strip
  const { title, reasons } = story(plan, cell)
  const open = () => ask({ kind: 'event', label: title, reasons })
  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key === 'w' && !e.ctrlKey && !e.metaKey) open()
    else if (!keys?.(e)) return
    e.preventDefault()
    e.stopPropagation()
  }
  const works = cell.kind === 'print' || cell.kind === 'flash'
  return (
    <Box
      as="li"
      minWidth="0"
      borderLeft={target ? '4px solid' : '1px solid'}
      borderColor={target ? 'ink' : 'rule'}
      _last={{ borderRight: '1px solid', borderColor: 'rule' }}
      bg={lifted ? 'raised' : 'transparent'}
      ref={hold}
      style={{ touchAction: hands ? 'none' : undefined }}
    >
      <Button
        type="button"
        onClick={open}
        {...pointer}
        onKeyDown={onKeyDown}
        data-cell={hands && (cell.kind === 'print' ? cell.hitId : cell.kind)}
        aria-label={`${place}: ${title}`}
        display="block"
        width="100%"
        textAlign="left"
        cursor={keys ? 'grab' : 'pointer'}
      >
        <Box
          as="span"
          display="block"
          px="1.5"
          fontSize={place.length > 3 && !works ? 'small' : 'title'}
          lineHeight="1.9rem"
          fontWeight="700"
          fontStretch="75%"
          whiteSpace="nowrap"
          color={works ? 'ink' : 'soft'}
        >
          {place}
        </Box>
        <Top plan={plan} cell={cell} />
        <InkStack plan={plan} strip={strip} tallest={tallest} />
      </Button>
    </Box>
  )
}

function Words({ big, lines }: { readonly big: string; readonly lines: readonly ReactNode[] }) {
  return (
    <Box as="span" display="block" px="1.5" pt="1.5" minHeight="7.6rem" fontSize="small" lineHeight="1.25">
      <Box as="span" display="block" fontWeight="650" fontStretch="82%" overflowWrap="anywhere">
        {big}
      </Box>
      {lines.map((line, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: lines never move
        <Box as="span" display="block" key={i} color="soft" fontStretch="80%">
          {line}
        </Box>
      ))}
    </Box>
  )
}

/** What is mounted at the place. */
function Top({ plan, cell }: { readonly plan: RunPlan; readonly cell: Cell }) {
  const { units } = useSettings()
  const { background } = usePaint()
  const hit = cell.kind === 'print' ? plan.hits.find((h) => h.hit.id === cell.hitId) : undefined
  const flash = cell.kind === 'flash' ? plan.flashes[cell.flash] : undefined
  if (hit) {
    const { strokes, squeegee, time } = hit.stroke
    return (
      <>
        <Box
          as="span"
          display="block"
          height="14px"
          boxShadow="inset 0 0 0 1px {colors.ring}"
          style={{ background: hit.hit.role === 'smoothing' ? 'transparent' : background(hit.hex) }}
        />
        <Words
          big={hit.hit.name}
          lines={[
            writeQuantity('meshCount', numberOf(hit.mesh), units),
            <StrokeMarks key="s" count={numberOf(strokes)} />,
            `${choiceOf(squeegee)}`,
            `${writeQuantity('duration', numberOf(time), units)} each`,
            plan.press.kind !== 'automatic' && hit.head !== undefined ? `head ${hit.head}` : '',
          ]}
        />
      </>
    )
  }
  const empty = <Box as="span" display="block" height="14px" />
  if (flash)
    return (
      <>
        <Flash />
        <Words
          big={flash.unit ? 'Flash' : 'Dry'}
          lines={[
            writeQuantity('duration', numberOf(flash.dwell), units),
            flash.unit?.name ?? 'lamp or rack',
          ]}
        />
      </>
    )
  const word = { cool: 'cools', down: 'out of service, cools', covered: 'under the flash', free: 'free' }[
    cell.kind as 'cool' | 'down' | 'covered' | 'free'
  ]
  return (
    <>
      {empty}
      <Box
        as="span"
        display="block"
        height="7.6rem"
        px="1"
        pt="1.5"
        color="soft"
        fontSize="small"
        whiteSpace="nowrap"
        css={{ writingMode: 'vertical-rl' }}
      >
        {word}
      </Box>
    </>
  )
}

/** A slanted squeegee for each stroke. */
const StrokeMarks = ({ count }: { readonly count: number }) => (
  <svg
    width={count * 13 + 2}
    height="15"
    role="img"
    aria-label={count === 1 ? '1 stroke' : `${count} strokes`}
  >
    {Array.from({ length: count }, (_, i) => i * 13).map((x) => (
      <path key={x} d={`M${x + 2} 14 L${x + 8} 1 L${x + 12} 1 L${x + 6} 14 Z`} fill="currentColor" />
    ))}
  </svg>
)

/** Heat, drawn as bars: the one mark that is no ink. */
const Flash = () => (
  <svg width="100%" height="14" aria-hidden="true" preserveAspectRatio="none" viewBox="0 0 40 14">
    {[1, 9, 17, 25, 33].map((x) => (
      <rect key={x} x={x} y="0" width="4" height="14" fill="currentColor" />
    ))}
  </svg>
)

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
      return { title: 'Out of service', reasons: cell.reasons }
    case 'covered':
      return { title: 'Under the flash', reasons: cell.reasons }
    case 'free':
      return { title: 'Free station', reasons: [] }
    default:
      return cell satisfies never
  }
}
