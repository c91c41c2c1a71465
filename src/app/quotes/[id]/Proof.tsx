import { useId } from 'react'
import type { QuotedPrint } from '@/formats/quote'
import { usePaint } from '@/ui/paint'
import { Picture } from '@/ui/Swatch'

/** The picture has a clear border of so much of the print's longer side. */
const BORDER = 0.06
const RING = { fill: 'none', stroke: 'var(--chakra-colors-ring)' } as const

/** The print on its garment, to scale. */
export function Proof({
  print,
  orderId,
  pictured,
}: {
  readonly print: QuotedPrint
  readonly orderId: string
  readonly pictured: boolean
}) {
  const { fill } = usePaint()
  const cloth = useId()
  const { drawing: d } = print
  const of = { orderId, print: print.print, based: print.based }
  if (!d)
    return pictured ? (
      <Picture of={of} ground="#808080" pixels={480} style={{ maxWidth: '100%', width: 240 }} />
    ) : null
  const border = BORDER * Math.max(d.art.width, d.art.height)
  return (
    <svg
      viewBox={`${d.room.x} ${d.room.y} ${d.room.width} ${d.room.height}`}
      height={300}
      style={{ display: 'block', maxWidth: '100%' }}
      role="img"
      aria-label={`${print.where}, ${print.size}, on a garment of size ${d.size}, to scale`}
    >
      <clipPath id={cloth}>
        <path d={d.outline} />
      </clipPath>
      <path d={d.outline} fill={fill(d.hex)} stroke={RING.stroke} strokeWidth="3" />
      <path d={d.edge} {...RING} strokeWidth="8" />
      <path d={d.seams} {...RING} strokeWidth="3" strokeDasharray="6 6" />
      {pictured ? (
        <foreignObject
          clipPath={`url(#${cloth})`}
          x={d.art.x - border}
          y={d.art.y - border}
          width={d.art.width + 2 * border}
          height={d.art.height + 2 * border}
        >
          <Picture
            of={of}
            ground={d.hex}
            pixels={640}
            style={{
              ...{ width: '100%', height: '100%', display: 'block', objectFit: 'fill' },
              ...(d.turned && { transform: 'rotate(180deg)' }),
            }}
          />
        </foreignObject>
      ) : (
        <rect
          x={d.art.x}
          y={d.art.y}
          width={d.art.width}
          height={d.art.height}
          fill="var(--chakra-colors-ring)"
          fillOpacity="0.5"
        />
      )}
    </svg>
  )
}
