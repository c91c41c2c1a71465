import type { Share } from '../quantity'
import type { GreyImage } from './levels'
import { FULL, type Plane, TILE } from './plane'
import { powerOver, type Wave } from './spectrum'

/** A tile shows a screen that explains so much of it; one beside it may show less. */
const SEED = 0.25
const GROW = 0.06

/** Gives the share of a tile's variation that each screen's waves explain. */
function explainer(image: GreyImage, table: Uint8Array, screens: readonly (readonly Wave[])[]) {
  // Rows beyond what a period needs tell nothing new.
  const fastest = Math.max(...screens.flat().map(({ u, v }) => Math.hypot(u, v)))
  const step = fastest * 5 < 1 ? 2 : 1
  const powers = (w: number, h: number) =>
    screens.map((waves) => waves.map(({ u, v }) => powerOver(w, h, { u, v: v * step })))
  const whole = powers(TILE, TILE / step)
  const signal = new Float64Array(FULL / step)
  return (tx: number, ty: number): readonly Share[] => {
    const w = Math.min(TILE, image.width - tx * TILE)
    const h = Math.floor(Math.min(TILE, image.height - ty * TILE) / step)
    const n = w * h
    let sum = 0
    let squares = 0
    for (let y = 0; y < h; y++) {
      const from = (ty * TILE + y * step) * image.width + tx * TILE
      for (let x = 0; x < w; x++) {
        const ink = table[image.grey[from + x] ?? 0] ?? 0
        signal[y * w + x] = ink
        sum += ink
        squares += ink * ink
      }
    }
    const mean = sum / n
    const variation = squares - sum * mean
    if (n === 0 || variation <= 0) return screens.map(() => 0)
    for (let i = 0; i < n; i++) signal[i] = (signal[i] ?? 0) - mean
    const own = n === signal.length ? whole : powers(w, h)
    return own.map((waves) => waves.reduce((held, power) => held + (2 * power(signal)) / n, 0) / variation)
  }
}

/**
 * Which tiles are in which screen: those that show it well, and those beside them that show some of it.
 *
 * @param waves of each screen
 * @returns for each tile the number of its screen from 1, 0 for none
 */
export function tileMap(
  image: GreyImage,
  table: Uint8Array,
  candidates: readonly number[],
  waves: readonly (readonly Wave[])[],
  tilesX: number,
  tilesY: number,
): Uint8Array {
  const explained = explainer(image, table, waves)
  const best = new Uint8Array(tilesX * tilesY)
  const shown = new Float64Array(tilesX * tilesY)
  for (const t of candidates)
    explained(t % tilesX, Math.floor(t / tilesX)).forEach((share, i) => {
      if (share <= (shown[t] ?? 0)) return
      shown[t] = share
      best[t] = i + 1
    })
  const near = (t: number) => {
    const x = t % tilesX
    const round = [t - tilesX, t + tilesX]
    if (x > 0) round.push(t - 1)
    if (x < tilesX - 1) round.push(t + 1)
    return round.filter((r) => r >= 0 && r < best.length)
  }
  const map = new Uint8Array(best.length)
  const queue = candidates.filter((t) => (shown[t] ?? 0) > SEED)
  for (const t of queue) map[t] = best[t] ?? 0
  while (queue.length > 0) {
    const t = queue.pop() ?? 0
    for (const r of near(t)) {
      if (map[r] !== 0 || (shown[r] ?? 0) <= GROW) continue
      map[r] = best[r] ?? 0
      queue.push(r)
    }
  }
  for (const t of candidates) if (map[t] !== 0 && near(t).every((r) => map[r] === 0)) map[t] = 0
  return map
}

/** Range of the tints of a screen, from tiles that lie whole inside it. */
export function tintsOf(inkSums: Float64Array, map: Uint8Array, number: number, bits: Plane) {
  const { tilesX, width, height } = bits
  const tints: (readonly [tint: Share, tile: number])[] = []
  for (let t = 0; t < map.length; t++) {
    if (map[t] !== number) continue
    const whole = ((t % tilesX) + 1) * TILE <= width && (Math.floor(t / tilesX) + 1) * TILE <= height
    const beside = [-1, 0, 1].flatMap((dy) => [-1, 0, 1].map((dx) => t + dy * tilesX + dx))
    if (whole && beside.every((r) => map[r] === number)) tints.push([(inkSums[t] ?? 0) / FULL, t])
  }
  tints.sort(([a], [b]) => a - b)
  const at = (q: number) => tints[Math.min(tints.length - 1, Math.floor(q * tints.length))]
  const [least, most] = [at(0.05), at(0.95)]
  return {
    tints: [least?.[0] ?? 0, most?.[0] ?? 0] as const,
    lightest: least?.[1],
    darkest: most?.[1],
  }
}
