import { PRESS_KINDS, type Press, ringShape, type Shop } from '@/core/equipment'

interface DrawingProps {
  readonly press: Press
  readonly shop: Shop
  /** Side in pixels. */
  readonly size?: number
}

const HEAD = 15
const RADIUS = 78

/** A press from above: the loader stands at the bottom; a dashed head is down, bars mark where a flash may stand. */
export function RingDrawing({ press, shop, size = 190 }: DrawingProps) {
  const { heads, pallets, flashes } = ringShape(press, shop)
  const round = press.kind === 'manual' || press.kind === 'automatic'
  const small = size < 140
  return (
    <svg
      width={size}
      height={round ? size : size * 0.5}
      viewBox={round ? '-100 -100 200 200' : '-100 -50 200 100'}
      role="img"
      aria-label={`${PRESS_KINDS[press.kind]} from above, ${heads.filter((h) => !h.loader).length} places`}
    >
      {round && <circle r="9" fill="none" stroke="currentColor" strokeWidth="2" />}
      {round &&
        pallets.map((turn) => (
          <rect
            key={turn}
            x={pallets.length > 8 ? -6 : -8}
            y={pallets.length > 8 ? 26 : 18}
            width={pallets.length > 8 ? 12 : 16}
            height={pallets.length > 8 ? 33 : 40}
            rx="3"
            fill="none"
            stroke="currentColor"
            strokeWidth="1.4"
            transform={`rotate(${(turn * 180) / Math.PI})`}
          />
        ))}
      {!round && (
        <rect
          x="-95"
          y="-30"
          width="190"
          height="60"
          rx="6"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.4"
        />
      )}
      {heads.map((h, i) => {
        const x = h.x * (round ? RADIUS : 66)
        const y = h.y * RADIUS
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a place of the ring is its index
          <g key={i} transform={`translate(${x} ${y})`}>
            {h.loader ? (
              <path d="M -7 5 L 0 -6 L 7 5 Z" fill="currentColor" />
            ) : (
              <>
                <circle
                  r={HEAD}
                  fill="none"
                  stroke="currentColor"
                  strokeWidth={h.down ? 1.2 : 2.2}
                  strokeDasharray={h.down ? '4 3' : undefined}
                />
                <text
                  textAnchor="middle"
                  y="6"
                  fontSize="17"
                  fontWeight="650"
                  fill="currentColor"
                  opacity={h.down ? 0.75 : 1}
                >
                  {h.number}
                </text>
                {h.flashAllowed && !small && (
                  <path d="M -6 10.5 H 6" stroke="currentColor" strokeWidth="2.4" />
                )}
              </>
            )}
          </g>
        )
      })}
      {flashes.length > 0 && !round && (
        <text y="44" textAnchor="middle" fontSize="13" fill="currentColor">
          {flashes.join(', ')}
        </text>
      )}
    </svg>
  )
}
