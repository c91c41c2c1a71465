import { chakra } from '@chakra-ui/react'
import { type PointerEvent, useRef, useState } from 'react'
import type { MarkReading, Place, Pose } from '@/core/registration'

const Svg = chakra('svg')

/** What is off by a millimetre is drawn off by so many. */
const LARGER = 30
const ARM = 11
const SIZE = 320
const RIM = 46
/** Room for words below. */
const WORDS = 26

interface Props {
  readonly marks: readonly MarkReading[]
  /** How the screen lies, and how it will lie; none while nothing is known. */
  readonly now: Pose | undefined
  readonly then: Pose | undefined
  /** A mark was dragged to where the screen has it: metres to the right, and away from the operator. */
  /** Where to look, from the centre of the art as the operator sees it, numbered from 1. */
  readonly places: readonly Place[]
  readonly onDrag: (mark: number, dx: number, dy: number) => void
}

/** Nobody drags finer, metres. */
const FINEST = 1e-5

/** The marks on the pallet as the operator sees them: where they should be, where the screen has them, where it will have them. */
export function MarksDrawing({ marks, now, then, places, onDrag }: Props) {
  const drawing = useRef<SVGSVGElement>(null)
  const [dragged, setDragged] = useState<number>()
  const far = Math.max(...marks.map((m) => Math.max(Math.abs(m.x), Math.abs(m.y))), 0.01)
  const scale = (SIZE / 2 - RIM) / far
  const at = (m: MarkReading, pose?: Pose) => {
    const off = pose ? [pose.dx - m.y * pose.turn, pose.dy + m.x * pose.turn] : [0, 0]
    const larger = (off: number | undefined) =>
      Math.max(ARM - RIM, Math.min(RIM - ARM, (off ?? 0) * 1000 * LARGER))
    return [SIZE / 2 + m.x * scale + larger(off[0]), SIZE / 2 - m.y * scale - larger(off[1])] as const
  }
  const cross = (m: MarkReading, pose: Pose | undefined, key: string, width: number, dash?: string) => {
    const [x, y] = at(m, pose)
    return (
      <path
        key={key}
        d={`M${x - ARM} ${y}H${x + ARM}M${x} ${y - ARM}V${y + ARM}`}
        stroke="currentColor"
        strokeWidth={width}
        fill="none"
        pointerEvents="none"
        {...(dash && { strokeDasharray: dash })}
      />
    )
  }
  const drag = (e: PointerEvent, mark: number) => {
    const matrix = drawing.current?.getScreenCTM()?.inverse()
    const m = marks[mark]
    if (dragged !== mark || !matrix || !m) return
    const [x, y] = at(m)
    const to = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix)
    const metres = (px: number) => Math.round(px / LARGER / 1000 / FINEST) * FINEST
    onDrag(mark, metres(to.x - x), metres(y - to.y))
  }
  const words = now ? 'as the screen lies, thick; as it will lie, dashed' : 'where they should be'
  return (
    <Svg
      ref={drawing}
      viewBox={`0 0 ${SIZE} ${SIZE + WORDS}`}
      width="100%"
      maxWidth="22rem"
      role="img"
      aria-label={`Marks, ${words}; thirty times as far off as they are`}
      color="ink"
      bg="raised"
    >
      {marks.map((m, i) => {
        const [x, y] = at(m)
        const read = { dx: m.dx ?? 0, dy: m.dy ?? 0, turn: 0 }
        const [rx, ry] = at(m, read)
        return (
          <g key={m.name}>
            <circle cx={x} cy={y} r={ARM + 4} stroke="currentColor" strokeWidth={1} fill="none" />
            {/* The keys have the fields. */}
            <circle
              cx={rx}
              cy={ry}
              r={RIM / 2}
              fill="transparent"
              style={{ cursor: dragged === i ? 'grabbing' : 'grab', touchAction: 'none' }}
              onPointerDown={(e) => {
                e.currentTarget.setPointerCapture(e.pointerId)
                setDragged(i)
              }}
              onPointerMove={(e) => drag(e, i)}
              onPointerUp={() => setDragged(undefined)}
              onPointerCancel={() => setDragged(undefined)}
            />
            {(m.dx !== undefined || m.dy !== undefined) && (
              <circle cx={rx} cy={ry} r={4} fill="currentColor" pointerEvents="none" />
            )}
          </g>
        )
      })}
      {places.map((p, i) => (
        <text
          key={`${p.x} ${p.y}`}
          x={SIZE / 2 + p.x * scale}
          y={SIZE / 2 - p.y * scale + 5}
          textAnchor="middle"
          fontWeight="750"
          fill="currentColor"
          style={{ fontSize: 14 }}
        >
          {i + 1}
        </text>
      ))}
      {now && marks.map((m) => cross(m, now, `now ${m.name}`, 3))}
      {then && marks.map((m) => cross(m, then, `then ${m.name}`, 1.5, '4 3'))}
      <text x={SIZE / 2} y={SIZE + WORDS - 8} textAnchor="middle" fontSize="12" fill="currentColor">
        you stand here
      </text>
    </Svg>
  )
}
