import { type ReactNode, type Ref, useId } from 'react'
import type { OnSize } from '@/core/registration'
import { garmentShape, type Lies } from '@/core/registration'
import { usePaint } from '@/ui/paint'
import { Picture, type Pictured } from '@/ui/Swatch'

/** The picture has a clear border of so much of the print's longer side. */
const BORDER = 0.06

export interface Laid {
  readonly on: OnSize
  readonly lies: Lies
  readonly hex: string
  /** Millimetres. */
  readonly pallet: { readonly width: number; readonly height: number }
  readonly picture: Pictured | undefined
  readonly room: { readonly x: number; readonly y: number; readonly width: number; readonly height: number }
}

/** A garment on its pallet with the print as it is, to scale. */
export function Garment({
  laid: { on, lies, hex, pallet, picture, room },
  label,
  height,
  drawing,
  children,
}: {
  readonly laid: Laid
  readonly label: string
  readonly height: number | string
  readonly drawing?: Ref<SVGSVGElement>
  /** Over the art. */
  readonly children?: ReactNode
}) {
  const { fill } = usePaint()
  const cloth = useId()
  const { outline, edge, seams } = garmentShape(on.piece, lies)
  const mm = (x: number) => x * 1000
  const border = BORDER * Math.max(on.art.width, on.art.height)
  return (
    <svg
      ref={drawing}
      viewBox={`${room.x} ${room.y} ${room.width} ${room.height}`}
      height={height}
      style={{ display: 'block', maxWidth: '100%' }}
      // With something in it that is moved it is no picture.
      role={children ? 'group' : 'img'}
      aria-label={label}
    >
      <clipPath id={cloth}>
        <path d={outline} />
      </clipPath>
      <path d={outline} fill={fill(hex)} stroke="var(--chakra-colors-ring)" strokeWidth="3" />
      <path d={edge} fill="none" stroke="var(--chakra-colors-ring)" strokeWidth="9" />
      <path d={seams} fill="none" stroke="var(--chakra-colors-ring)" strokeWidth="3" strokeDasharray="6 6" />
      {picture ? (
        <foreignObject
          // The picture has a ground of cloth, and there is none beside the garment.
          clipPath={`url(#${cloth})`}
          x={mm(on.art.x - border)}
          y={mm(on.art.y - border)}
          width={mm(on.art.width + 2 * border)}
          height={mm(on.art.height + 2 * border)}
        >
          <Picture
            of={picture}
            ground={hex}
            pixels={640}
            style={{
              ...{ width: '100%', height: '100%', display: 'block', objectFit: 'fill' },
              // Away from its hem art stands upright.
              ...(lies.byHem && { transform: 'rotate(180deg)' }),
            }}
          />
        </foreignObject>
      ) : (
        <rect
          x={mm(on.art.x)}
          y={mm(on.art.y)}
          width={mm(on.art.width)}
          height={mm(on.art.height)}
          fill="var(--chakra-colors-ring)"
          fillOpacity="0.5"
        />
      )}
      <g fill="none" stroke="var(--chakra-colors-ring)">
        <rect
          x={-pallet.width / 2}
          y="0"
          width={pallet.width}
          height={pallet.height}
          rx="14"
          strokeWidth="3"
          strokeDasharray="14 9"
        />
        <line x1="0" x2="0" y1="0" y2={mm(on.piece.length)} strokeWidth="2" strokeDasharray="16 8 3 8" />
      </g>
      {children}
    </svg>
  )
}
