'use client'

import { writeQuantity } from '@/core/quantity'
import { ENDS, type FilmPosition } from '@/core/registration'
import { FRAME_WALL } from '@/core/screen'
import { useSettings } from './settings'

const mm = (x: number) => x * 1000

/** A mark of the film: a cross in a circle. */
const Mark = ({ x, y }: { readonly x: number; readonly y: number }) => (
  <path
    d={`M ${x - 12} ${y} h 24 M ${x} ${y - 12} v 24 M ${x - 7} ${y} a 7 7 0 1 0 14 0 a 7 7 0 1 0 -14 0`}
    fill="none"
    stroke="currentColor"
    strokeWidth="1.8"
  />
)

/** Half as wide as the longest number is set. */
const HALF = 68

/** From an edge of the frame to a mark, with its number. */
function Distance({
  from,
  to,
  within,
  words,
}: {
  readonly from: readonly [number, number]
  readonly to: readonly [number, number]
  /** Width of the frame, which the number stays on. */
  readonly within: number
  readonly words: string
}) {
  const upright = from[0] === to[0]
  const x = Math.min(within - HALF, Math.max(HALF, (from[0] + to[0]) / 2))
  const y = (from[1] + to[1]) / 2
  return (
    <g>
      <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} stroke="currentColor" strokeWidth="1.5" />
      {[from, to].map(([a, b]) => (
        <line
          key={`${a} ${b}`}
          x1={upright ? a - 7 : a}
          x2={upright ? a + 7 : a}
          y1={upright ? b : b - 7}
          y2={upright ? b : b + 7}
          stroke="currentColor"
          strokeWidth="1.5"
        />
      ))}
      <text
        x={upright ? from[0] + 9 : x}
        y={upright ? y + 12 : y - 12}
        textAnchor={upright ? 'start' : 'middle'}
        style={{ fontSize: 34 }}
        fontWeight="650"
        fill="currentColor"
      >
        {words}
      </text>
    </g>
  )
}

/** The frame as the person taping the film sees it: print side up, what lies at the pallet’s end away. To scale. */
export function FilmPositionDrawing({
  position: p,
  height = 420,
}: {
  readonly position: FilmPosition
  readonly height?: number
}) {
  const { units } = useSettings()
  const words = (x: number) => writeQuantity('length', x, units)
  const [w, h, wall] = [mm(p.frameWidth), mm(p.frameHeight), mm(FRAME_WALL)]
  const [left, right, side] = [mm(p.left), w - mm(p.right), mm(p.sideMarks)]
  const artLeft = mm(p.left) + 10
  const middle = artLeft + mm(p.width) / 2
  return (
    <svg
      viewBox={`-14 -50 ${w + 28} ${h + 132}`}
      height={height}
      style={{ maxWidth: '100%' }}
      role="img"
      aria-label="Film on the frame, print side up, to scale"
    >
      <text x={w / 2} y="-14" textAnchor="middle" style={{ fontSize: 26 }} fill="currentColor">
        {ENDS[p.origin]}
      </text>
      <rect width={w} height={h} rx="6" fill="none" stroke="currentColor" strokeWidth="3" />
      <rect
        x={wall}
        y={wall}
        width={w - 2 * wall}
        height={h - 2 * wall}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.2"
        opacity="0.6"
      />
      <line
        x1={w / 2}
        x2={w / 2}
        y1="0"
        y2={h}
        stroke="currentColor"
        strokeWidth="1"
        strokeDasharray="10 5 2 5"
        opacity="0.7"
      />
      <rect
        x={artLeft}
        y={mm(p.top)}
        width={mm(p.width)}
        height={mm(p.height)}
        fill="currentColor"
        fillOpacity="0.13"
        stroke="currentColor"
        strokeWidth="2"
      />
      <Mark x={left} y={side} />
      <Mark x={right} y={side} />
      <Mark x={middle} y={mm(p.topMark)} />
      <Mark x={middle} y={mm(p.bottomMark)} />
      <Distance within={w} from={[middle, 0]} to={[middle, mm(p.topMark)]} words={words(p.topMark)} />
      <Distance within={w} from={[0, side]} to={[left, side]} words={words(p.left)} />
      <Distance within={w} from={[right, side]} to={[w, side]} words={words(p.right)} />
      {['print side, where the film is taped:', 'ink side down, mirrored'].map((line, i) => (
        <text
          key={line}
          x={w / 2}
          y={h + 38 + 32 * i}
          textAnchor="middle"
          style={{ fontSize: 26 }}
          fill="currentColor"
        >
          {line}
        </text>
      ))}
    </svg>
  )
}
