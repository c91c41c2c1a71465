'use client'

import { palletShape, type RunPlan } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { useSettings } from './settings'

/** Below this height the labels of the lines could not be read. */
const LABELLED = 300

/** The pallet with its lines and the print on it, to scale, as the loader sees it. */
export function PalletDrawing({ plan, height = 360 }: { readonly plan: RunPlan; readonly height?: number }) {
  const { units } = useSettings()
  const { pallet, prints, lines, neck } = palletShape(plan)
  const margin = 0.035
  const mm = (x: number) => x * 1000
  const view = [pallet.x - margin, -margin, pallet.width + 2 * margin + 0.09, pallet.height + 2 * margin]
    .map(mm)
    .join(' ')
  return (
    <svg
      viewBox={view}
      height={height}
      style={{ maxWidth: '100%' }}
      role="img"
      aria-label="Print on the pallet, to scale"
    >
      <rect
        x={mm(pallet.x)}
        y="0"
        width={mm(pallet.width)}
        height={mm(pallet.height)}
        rx="14"
        fill="none"
        stroke="currentColor"
        strokeWidth="2.5"
      />
      <line
        x1="0"
        x2="0"
        y1="0"
        y2={mm(pallet.height)}
        stroke="currentColor"
        strokeWidth="1"
        strokeDasharray="10 5 2 5"
      />
      {lines.map((y) => (
        <g key={y}>
          <line
            x1={mm(pallet.x)}
            x2={mm(pallet.x + pallet.width)}
            y1={mm(y)}
            y2={mm(y)}
            stroke="currentColor"
            strokeWidth="0.8"
            opacity="0.55"
          />
          {height >= LABELLED && (
            <text x={mm(pallet.x + pallet.width) + 6} y={mm(y) + 7} fontSize="20" fill="currentColor">
              {writeQuantity('length', y, units)}
            </text>
          )}
        </g>
      ))}
      {neck && <path d="M -80 0 Q 0 46 80 0" fill="none" stroke="currentColor" strokeWidth="2.5" />}
      {prints.map((p, i) => (
        <g key={p.group}>
          <rect
            x={mm(p.x)}
            y={mm(p.y)}
            width={mm(p.width)}
            height={mm(p.height)}
            fill={i === 0 ? 'currentColor' : 'none'}
            fillOpacity="0.13"
            stroke="currentColor"
            strokeWidth="2.5"
            strokeDasharray={i === 0 ? undefined : '9 6'}
          />
          <text
            x={i === 0 ? mm(p.x) + 8 : mm(p.x + p.width) - 8}
            y={i === 0 ? mm(p.y + p.height) + 20 : mm(p.y) - 5}
            textAnchor={i === 0 ? 'start' : 'end'}
            fontSize="18"
            fill="currentColor"
          >
            {prints.length > 1 ? p.group : ''}
          </text>
        </g>
      ))}
    </svg>
  )
}
