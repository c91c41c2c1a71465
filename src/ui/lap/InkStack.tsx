import type { RunPlan, StripCell } from '@/core/plan'
import { usePaint } from '../paint'

const STACK = 92

/** The cross-section to scale: cloth below, films above; a dashed top is still wet. */
export function InkStack({
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
