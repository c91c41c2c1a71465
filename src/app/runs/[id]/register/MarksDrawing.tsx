import { chakra } from '@chakra-ui/react'
import type { MarkReading, Pose } from '@/core/registration'

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
}

/** The marks on the pallet as the operator sees them: where they should be, where the screen has them, where it will have them. */
export function MarksDrawing({ marks, now, then }: Props) {
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
        {...(dash && { strokeDasharray: dash })}
      />
    )
  }
  const words = now ? 'as the screen lies, thick; as it will lie, dashed' : 'where they should be'
  return (
    <Svg
      viewBox={`0 0 ${SIZE} ${SIZE + WORDS}`}
      width="100%"
      maxWidth="22rem"
      role="img"
      aria-label={`Marks, ${words}; thirty times as far off as they are`}
      color="ink"
      bg="raised"
    >
      {marks.map((m) => {
        const [x, y] = at(m)
        return (
          <circle key={m.name} cx={x} cy={y} r={ARM + 4} stroke="currentColor" strokeWidth={1} fill="none" />
        )
      })}
      {now && marks.map((m) => cross(m, now, `now ${m.name}`, 3))}
      {then && marks.map((m) => cross(m, then, `then ${m.name}`, 1.5, '4 3'))}
      <text x={SIZE / 2} y={SIZE + WORDS - 8} textAnchor="middle" fontSize="12" fill="currentColor">
        you stand here
      </text>
    </Svg>
  )
}
