import type { SymptomId } from '@/core/trouble'

/** A small drawing on 48 by 48: what is filled, what is drawn as a line. */
interface Drawing {
  readonly fills?: string
  readonly lines?: string
}

const dot = (x: number, y: number, r = 2) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`
const dots = (r: number, ...at: readonly (readonly [number, number])[]) =>
  at.map(([x, y]) => dot(x, y, r)).join('')
const grid = (r: number, step: number, from = 10, to = 38) => {
  let d = ''
  for (let y = from; y <= to; y += step) for (let x = from; x <= to; x += step) d += dot(x, y, r)
  return d
}
const MESH = 'M10 8v32M19 8v32M28 8v32M37 8v32M8 12h32M8 21h32M8 30h32M8 39h32'
const SHIRT = 'M16 8l-10 6 4 8 5-2v20h18V20l5 2 4-8-10-6c-2 4-14 4-16 0z'

/** What each symptom looks like, drawn for one glance. */
export const DRAWINGS: Readonly<Record<SymptomId, Drawing>> = {
  sticks: { lines: 'M6 12h36M15 34c0-9 4-12 4-22M24 34V12M33 34c0-9-4-12-4-22', fills: 'M10 34h28v6H10z' },
  pickup: {
    lines: 'M6 12h36',
    fills: `${dots(3, [15, 17], [24, 17], [33, 17])}M8 34h9v6H8zM21 34h6v6h-6zM31 34h9v6h-9z`,
  },
  muddy: { lines: `${dot(18, 24, 11)}${dot(30, 24, 11)}M21 17l8 8M20 22l8 8M24 15l5 5`, fills: '' },
  greyEdge: { fills: 'M8 12h12v24H8z', lines: 'M28 12h12v24H28zM20 16l8-4M20 22l8-4M20 28l8-4M20 34l8-4' },
  differ: { fills: 'M5 18h10v12H5z', lines: 'M19 18h10v12H19zM33 18h10v12H33zM20 28l8-9M24 29l5-6' },
  dull: { lines: 'M10 10h28v28H10z', fills: grid(1.4, 7, 13, 36) },
  patchy: { lines: 'M9 9h30v30H9z', fills: 'M9 9h14l-3 8 6 4-4 7-13-2zM29 24l10-4v19H22l2-8z' },
  oneSide: {
    lines: 'M9 12h30v24H9z',
    fills: `M9 12h13v24H9z${dots(1.3, [28, 18], [34, 22], [28, 28], [35, 32])}`,
  },
  missing: { lines: 'M8 12h7M20 12h20M8 20h18M32 20h8M8 28h4M18 28h9M34 28h6M8 36h14M27 36h4' },
  blown: { fills: dots(6, [14, 14], [25, 14], [36, 14], [14, 25], [25, 25], [36, 25], [14, 36], [25, 36]) },
  bleed: {
    fills: 'M14 14h20v20H14z',
    lines:
      'M10 16c-3 3 2 5-1 8s2 6 0 9M38 15c3 3-2 5 1 9s-2 5 0 8M16 10c3-3 5 2 8-1s5 2 8 0M16 38c3 3 5-2 8 1s5-2 8 0',
  },
  through: {
    fills: `M8 14h32v7H8z${dots(2.6, [15, 32], [24, 37], [33, 32])}`,
    lines: 'M8 26h32M15 21v8M24 21v13M33 21v8',
  },
  ghost: { fills: 'M10 12h18v18H10z', lines: 'M18 18h20v20H18z' },
  rough: {
    lines: 'M6 36h36M11 36l-3-10M16 36l3-14M22 36l-2-11M27 36l4-15M33 36l-2-9M38 36l2-12',
    fills: 'M6 36h36v4H6z',
  },
  pinholes: {
    lines: 'M16 16h16v16H16z',
    fills: dots(1.8, [8, 10], [12, 38], [39, 14], [37, 36], [24, 8], [42, 26]),
  },
  smudge: { fills: 'M8 28c6-12 12 6 18-4s10-8 14-4c-4 8-10 4-15 11S12 40 8 28z' },
  halo: { lines: 'M9 9h30v30H9z', fills: 'M15 15h18v18H15z' },
  shift: { lines: 'M8 8h22v22H8zM20 42h20l-5-4M40 42l-5 4', fills: 'M18 16h22v22H18z' },
  turned: { lines: 'M10 10h26v26H10z', fills: 'M15 6l26 9-9 26-26-9z' },
  local: { lines: 'M8 14h32v20H8z', fills: 'M8 14l32-5v30L8 34z' },
  creep: { lines: 'M8 8v32M20 8v32M33 8v32', fills: 'M9 8h2v32H9zM24 8h2v32h-2zM40 8h2v32h-2z' },
  jump: { lines: 'M24 6v36', fills: 'M24 8h8v6h-8zM16 17h8v6h-8zM24 26h12v6H24zM20 35h4v6h-4z' },
  oneBoard: { lines: dots(5, [24, 9], [37, 17], [37, 31], [24, 39], [11, 31]), fills: dot(11, 17, 5) },
  offPlace: { lines: SHIRT, fills: 'M25 22h8v9h-8z' },
  lifts: { lines: 'M6 10h36M8 40h32M12 30c8-14 16-14 24 0M14 24v-9M34 24v-9', fills: 'M18 21h12v5H18z' },
  dryIn: { lines: MESH, fills: 'M19 12h9v9h-9zM10 21h9v9h-9zM28 30h9v9h-9zM19 30h9v9h-9z' },
  clogs: { lines: MESH, fills: 'M14 13l4 4-4 4-4-4zM32 22l4 4-4 4-4-4zM23 31l4 4-4 4-4-4z' },
  noShimmer: { lines: 'M24 6l5 12 13 1-10 8 3 13-11-7-11 7 3-13-10-8 13-1zM8 42L42 8' },
  stencil: { fills: 'M8 10h14l3 5-4 4 5 5-3 5 4 4-3 5H8z', lines: 'M32 10v28M40 10v28' },
  wrongColour: { fills: 'M6 14h14v20H6z', lines: 'M28 14h14v20H28zM20 30l8-12' },
  drift: { fills: 'M6 16h9v16H6z', lines: 'M18 16h10v16H18zM32 16h10v16H32zM20 30l7-12M23 31l5-9' },
  scorch: { lines: `${SHIRT}M20 26c-3-4 3-5 0-9M28 30c-3-4 3-5 0-9` },
  flat: { lines: 'M6 38h36M10 38c2-26 26-26 28 0', fills: 'M10 38c4-7 24-7 28 0z' },
  dapple: { fills: 'M8 38c2-24 30-24 32 0z', lines: 'M6 42h36M16 14l-3-5M24 12V6M32 14l3-5' },
  cracks: { fills: '', lines: 'M8 8h32v32H8zM14 8l5 9-4 7 6 6-3 10M30 8l-4 8 6 8-3 6 4 10' },
  tackyAfter: {
    fills: 'M8 34h32v6H8zM16 8h16v8H16z',
    lines: 'M19 16c0 8-3 10-3 18M24 16v18M29 16c0 8 3 10 3 18',
  },
  washes: {
    lines: 'M6 36c4-4 8-4 12 0s8 4 12 0 8-4 12 0M6 42c4-4 8-4 12 0s8 4 12 0 8-4 12 0',
    fills: 'M10 8h14v14H10zM28 14h4v4h-4zM35 20h4v4h-4zM28 24h4v4h-4z',
  },
  peels: { lines: 'M8 38h32V22L24 8H8zM24 8c-2 8 4 14 16 14' },
  migrates: {
    lines:
      'M6 22h36M12 40V26M12 26l-4 5M12 26l4 5M24 40V26M24 26l-4 5M24 26l4 5M36 40V26M36 26l-4 5M36 26l4 5',
    fills: dots(1.8, [12, 15], [20, 11], [28, 16], [36, 12]),
  },
  blisters: { lines: `M6 38h36M10 38a6 6 0 0 1 12 0M24 38a8 8 0 0 1 16 0${dot(18, 18, 4)}${dot(32, 14, 3)}` },
}
