'use client'

import { HATCHES, hatchCss, hatchId, hatchOf } from './hatch'
import { useLight } from './settings'

/** How an ink or cloth is painted: its colour, or under a safelight its hatching. */
export function usePaint() {
  const safe = useLight().mode === 'safelight'
  return {
    safe,
    /** Room for a field that holds a colour: a patch to pick from, or its number to type. */
    fieldWidth: safe ? '5.4rem' : '2.6rem',
    /** For CSS `background`. */
    background: (hex: string) => (safe ? hatchCss(hex) : hex),
    /** For SVG `fill`. */
    fill: (hex: string) => (safe ? `url(#${hatchId(hatchOf(hex))})` : hex),
  }
}

/** The SVG patterns that `fill` names, and the filter that takes the blue out. */
export const Hatches = () => (
  <svg width="0" height="0" aria-hidden="true" style={{ position: 'absolute' }}>
    <defs>
      <filter id="safelight" colorInterpolationFilters="sRGB">
        <feColorMatrix values="1 0 0 0 0  0 0.63 0 0 0  0 0 0 0 0  0 0 0 1 0" />
      </filter>
      {/* A picture keeps its lightness only. */}
      <filter id="amber" colorInterpolationFilters="sRGB">
        <feColorMatrix values=".3 .59 .11 0 0  .17 .34 .06 0 0  0 0 0 0 0  0 0 0 1 0" />
      </filter>
      {HATCHES.map((h) => (
        <pattern
          key={hatchId(h)}
          id={hatchId(h)}
          width={h.gap}
          height={h.gap}
          patternUnits="userSpaceOnUse"
          patternTransform={`rotate(${h.angle})`}
        >
          <rect width={h.gap} height={h.gap} fill="#000000" />
          <rect width="1.5" height={h.gap} fill="#c07000" />
        </pattern>
      ))}
    </defs>
  </svg>
)
