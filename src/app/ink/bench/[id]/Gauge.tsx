import type { Mass } from '@/core/quantity'

/** The bar goes a quarter beyond the part, so that too much is seen as well. */
const BEYOND = 1.25
const W = 1000
const H = 64

/** How full the part is: a bar that fills towards the band in which it is right. */
export function Gauge({
  value,
  wanted,
  band,
}: {
  readonly value: Mass
  readonly wanted: Mass
  readonly band: readonly [low: Mass, high: Mass]
}) {
  const x = (m: Mass) => Math.max(0, Math.min(W, (m / (wanted * BEYOND)) * W))
  const [low, high] = band
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      preserveAspectRatio="none"
      aria-hidden="true"
      style={{ display: 'block', width: '100%', height: H }}
    >
      <rect
        x="0"
        y="16"
        width={W}
        height="32"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        vectorEffect="non-scaling-stroke"
      />
      <rect x="0" y="16" width={x(value)} height="32" fill="currentColor" />
      {(['currentColor', 'var(--chakra-colors-work)'] as const).map((stroke, i) => (
        <rect
          key={stroke}
          x={x(low)}
          y="2"
          width={Math.max(6, x(high) - x(low))}
          height="60"
          fill="none"
          stroke={stroke}
          strokeWidth={i === 0 ? 5 : 1.5}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  )
}
