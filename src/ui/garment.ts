import type { OnSize } from '@/core/registration'

/** A garment laid flat, millimetres from its centre line and its collar seam: chest and length to scale, sleeves and neck only shown. */
export interface GarmentShape {
  readonly body: string
  readonly collar: string
}

/** Of a front the collar hangs, of a back it runs nearly straight. */
const FRONT = { neck: 85, drop: 75 }
const BACK = { neck: 85, drop: 20 }
/** A chest that the neck and the sleeves are drawn for. */
const USUAL = 520

export function garmentShape(
  { chest, length }: Pick<OnSize, 'chest' | 'length'>,
  isBack: boolean,
): GarmentShape {
  const half = (chest * 1000) / 2
  const k = (chest * 1000) / USUAL
  const { neck, drop } = isBack ? BACK : FRONT
  const [n, d] = [neck * k, drop * k]
  const hem = length * 1000
  const side = (s: 1 | -1) => [
    [s * n, -d],
    [s * half * 0.9, -d + 38 * k],
    [s * (half + 105 * k), 150 * k],
    [s * (half + 28 * k), 205 * k],
    [s * half, 165 * k],
    [s * half, hem],
  ]
  const points = [...side(1), ...side(-1).reverse()]
  const path = points.map(([x = 0, y = 0]) => `${x.toFixed(1)} ${y.toFixed(1)}`)
  const collar = `Q 0 ${d.toFixed(1)}`
  return {
    body: `M ${path.join(' L ')} ${collar} ${path[0]} Z`,
    collar: `M ${path.at(-1)} ${collar} ${path[0]}`,
  }
}

/** All garments of a run to one scale: millimetres. */
export function roomFor(all: readonly Pick<OnSize, 'chest' | 'length'>[]) {
  const widest = Math.max(...all.map((g) => g.chest)) * 1000
  const longest = Math.max(...all.map((g) => g.length)) * 1000
  const half = widest / 2 + (115 * widest) / USUAL
  return { x: -half, y: -(85 * widest) / USUAL, width: 2 * half, height: longest + (95 * widest) / USUAL }
}
