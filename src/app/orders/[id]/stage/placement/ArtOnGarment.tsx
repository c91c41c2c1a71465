import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react'
import { numberOf, type Overrides } from '@/core/advice'
import { PALLET_LINES } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import type { OnSize } from '@/core/registration'
import { useSettings } from '@/ui/settings'
import { Garment, type Laid } from './Garment'

/** Metres a key moves, and with Shift. */
export const STEP = 1e-3
export const STRIDE = 1e-2
/** So near to a line of the pallet the art jumps onto it. */
const SNAP = 4e-3

interface At {
  readonly down: number
  readonly side: number | undefined
}

/** The art on a garment of one size: moved by pointer or keys, for all sizes that share its setting. */
export function ArtOnGarment({
  laid,
  label,
  onMove,
}: {
  readonly laid: Laid
  readonly label: string
  readonly onMove: (overrides: Overrides) => void
}) {
  const { units } = useSettings()
  const drawing = useRef<SVGSVGElement>(null)
  const [grabbed, setGrabbed] = useState<{ readonly at: DOMPoint; readonly from: At; readonly to: At }>()
  const { on } = laid
  const { down, side } = on.group
  const now: At = { down: numberOf(down), side: side && numberOf(side) }
  /** To the wearer's left is to the right with the collar away, to the left with the hem away. */
  const right = laid.lies.byHem ? -1 : 1
  const shown = grabbed?.to ?? now
  const moved: OnSize = {
    ...on,
    art: {
      ...on.art,
      x: on.art.x + right * ((shown.side ?? 0) - (now.side ?? 0)),
      y: on.art.y + (shown.down - now.down),
    },
  }
  /** From what is measured to the collar seam. */
  const above = now.down - on.art.y
  const put = (to: At) => {
    const kept = (x: number) => Math.min(1, Math.max(0, Math.round(x * 1000) / 1000))
    const at = { down: kept(to.down), side: to.side === undefined ? undefined : kept(to.side) }
    if (at.down !== now.down || at.side !== now.side)
      onMove({
        ...(at.down !== now.down && { [down.key]: at.down }),
        ...(side && at.side !== undefined && at.side !== now.side && { [side.key]: at.side }),
      })
  }
  const keys = (e: KeyboardEvent) => {
    const by = e.shiftKey ? STRIDE : STEP
    const [x, y] = { ArrowUp: [0, -by], ArrowDown: [0, by], ArrowLeft: [-by, 0], ArrowRight: [by, 0] }[
      e.key
    ] ?? [0, 0]
    if (!x && !y) return
    e.preventDefault()
    e.stopPropagation()
    if (y || now.side !== undefined)
      put({
        down: now.down + (y ?? 0),
        side: now.side === undefined ? undefined : now.side + right * (x ?? 0),
      })
  }
  const pointAt = (e: PointerEvent) => {
    const matrix = drawing.current?.getScreenCTM()?.inverse()
    return matrix && new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix)
  }
  const drag = (e: PointerEvent) => {
    const at = grabbed && pointAt(e)
    if (!grabbed || !at) return
    const wanted = grabbed.from.down + (at.y - grabbed.at.y) / 1000
    const line = PALLET_LINES.find((l) => Math.abs(wanted - above - l) < SNAP)
    const { side: from } = grabbed.from
    const to = {
      down: line === undefined ? wanted : line + above,
      side: from === undefined ? undefined : from + (right * (at.x - grabbed.at.x)) / 1000,
    }
    setGrabbed({ ...grabbed, to })
  }
  const mm = (x: number) => x * 1000
  const { art } = moved
  return (
    <Garment laid={{ ...laid, on: moved }} label={label} height={440} drawing={drawing}>
      <g stroke="var(--chakra-colors-ring)" strokeWidth="1.6" fill="none" opacity="0.8">
        {PALLET_LINES.map((l) => (
          <line key={l} x1={-laid.pallet.width / 2} x2={laid.pallet.width / 2} y1={mm(l)} y2={mm(l)} />
        ))}
      </g>
      <g
        role="slider"
        tabIndex={0}
        aria-label={`Art, ${on.group.group}`}
        aria-orientation="vertical"
        aria-valuemin={0}
        aria-valuemax={1000}
        aria-valuenow={Math.round(mm(shown.down))}
        aria-valuetext={`${writeQuantity('length', shown.down, units)} ${down.label.toLowerCase()}`}
        style={{ cursor: grabbed ? 'grabbing' : 'grab', touchAction: 'none' }}
        onKeyDown={keys}
        onPointerDown={(e) => {
          const at = pointAt(e)
          if (!at) return
          e.currentTarget.setPointerCapture(e.pointerId)
          setGrabbed({ at, from: now, to: now })
        }}
        onPointerMove={drag}
        onPointerUp={() => {
          if (grabbed) put(grabbed.to)
          setGrabbed(undefined)
        }}
        onPointerCancel={() => setGrabbed(undefined)}
      >
        <rect
          x={mm(art.x)}
          y={mm(art.y)}
          width={mm(art.width)}
          height={mm(art.height)}
          fill="transparent"
          stroke="var(--chakra-colors-ring)"
          strokeWidth="3"
        />
      </g>
      <Tag
        x={mm(art.x)}
        // Where there is no room above the art it hangs below.
        y={mm(art.y) - TAG < laid.room.y ? mm(art.y + art.height) + TAG : mm(art.y)}
        words={writeQuantity('length', shown.down, units)}
      />
    </Garment>
  )
}

/** Millimetres high. */
const TAG = 44

/** A number on a label of its own, so that it is read on any cloth. */
const Tag = ({ x, y, words }: { readonly x: number; readonly y: number; readonly words: string }) => (
  <g pointerEvents="none">
    <rect
      x={x}
      y={y - TAG}
      width={20 * words.length + 18}
      height={TAG}
      fill="var(--chakra-colors-raised)"
      stroke="var(--chakra-colors-ring)"
      strokeWidth="2"
    />
    <text x={x + 9} y={y - 11} fill="currentColor" style={{ fontSize: 33, fontWeight: 700 }}>
      {words}
    </text>
  </g>
)
