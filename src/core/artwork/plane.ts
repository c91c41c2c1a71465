/** Side of a tile in pixels: most tiles of a film are empty or full, and are passed over whole. */
export const TILE = 64
/** Side of a coarse cell in pixels. */
export const CELL = 8
/** A word of ink alone. */
export const ALL = 0xffffffff
/** 32-bit words across a tile. */
const TILE_WORDS = TILE / 32

/** One bit a pixel, 1 is ink; rows and columns padded with 0 to whole tiles. */
export interface Plane {
  /** Pixels. */
  readonly width: number
  readonly height: number
  readonly tilesX: number
  readonly tilesY: number
  /** Words a row. */
  readonly stride: number
  readonly bits: Uint32Array
}

export function emptyPlane(width: number, height: number): Plane {
  const tilesX = Math.ceil(width / TILE)
  const tilesY = Math.ceil(height / TILE)
  const stride = tilesX * TILE_WORDS
  return { width, height, tilesX, tilesY, stride, bits: new Uint32Array(stride * tilesY * TILE) }
}

/** @throws RangeError when there are not as many bytes as such a plane has */
export function planeOf(width: number, height: number, bytes: Uint8Array): Plane {
  const plane = emptyPlane(width, height)
  if (bytes.byteLength !== plane.bits.byteLength) throw new RangeError('Not the bits of such a plane')
  new Uint8Array(plane.bits.buffer).set(bytes)
  return plane
}

export const copyPlane = (p: Plane): Plane => ({ ...p, bits: p.bits.slice() })

/** 1 where there is ink; 0 also outside the film. */
export function bitAt(p: Plane, x: number, y: number): number {
  if (x < 0 || y < 0 || x >= p.width || y >= p.height) return 0
  return ((p.bits[y * p.stride + (x >> 5)] ?? 0) >>> (x & 31)) & 1
}

/** Number of bits set in a word. */
export function popcount(word: number): number {
  let v = word - ((word >>> 1) & 0x55555555)
  v = (v & 0x33333333) + ((v >>> 2) & 0x33333333)
  return Math.imul((v + (v >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24
}

/** Calls back for each bit set in a word. */
export function eachBit(word: number, act: (bit: number) => void): void {
  for (let w = word; w !== 0; w &= w - 1) act(31 - Math.clz32(w & -w))
}

/** Ink pixels in each tile, row by row. */
export function tileCounts(p: Plane): Uint16Array {
  const counts = new Uint16Array(p.tilesX * p.tilesY)
  for (let y = 0; y < p.height; y++) {
    const row = y * p.stride
    const tiles = Math.floor(y / TILE) * p.tilesX
    for (let t = 0; t < p.tilesX; t++) {
      const at = row + t * TILE_WORDS
      const a = p.bits[at] ?? 0
      const b = p.bits[at + 1] ?? 0
      if ((a | b) !== 0) counts[tiles + t] = (counts[tiles + t] ?? 0) + popcount(a) + popcount(b)
    }
  }
  return counts
}

export const FULL = TILE * TILE

/** Changes between ink and none along the rows and columns of each tile. */
export function tileEdges(p: Plane, counts: Uint16Array): Uint16Array {
  const edges = new Uint16Array(counts.length)
  for (let ty = 0; ty < p.tilesY; ty++)
    for (let tx = 0; tx < p.tilesX; tx++) {
      const tile = ty * p.tilesX + tx
      const count = counts[tile] ?? 0
      if (count === 0 || count === FULL) continue
      let sum = 0
      for (let y = ty * TILE; y < ty * TILE + TILE; y++) {
        const at = y * p.stride + tx * TILE_WORDS
        const a = p.bits[at] ?? 0
        const b = p.bits[at + 1] ?? 0
        const below = y + 1 < ty * TILE + TILE
        sum += popcount(a ^ ((a >>> 1) | (b << 31))) + popcount((b ^ (b >>> 1)) & 0x7fffffff)
        if (below)
          sum += popcount(a ^ (p.bits[at + p.stride] ?? 0)) + popcount(b ^ (p.bits[at + p.stride + 1] ?? 0))
      }
      edges[tile] = sum
    }
  return edges
}

/** Ink with a pixel of none beside it, above or below: the edge of the ink, within one word of a row. */
export function edgeWord(p: Plane, y: number, word: number): number {
  const at = y * p.stride + word
  const w = p.bits[at] ?? 0
  if (w === 0) return 0
  const left = word > 0 ? (p.bits[at - 1] ?? 0) : 0
  const right = word + 1 < p.stride ? (p.bits[at + 1] ?? 0) : 0
  const up = y > 0 ? (p.bits[at - p.stride] ?? 0) : 0
  const down = at + p.stride < p.bits.length ? (p.bits[at + p.stride] ?? 0) : 0
  const within = ((w << 1) | (left >>> 31)) & ((w >>> 1) | (right << 31)) & up & down
  return w & ~within
}

/** Takes away single pixels and fills single pinholes in the tiles that `flat` names; says how many there were. */
export function despeckle(
  p: Plane,
  flat: (tile: number) => boolean,
): { readonly plane: Plane; readonly specks: number } {
  const out = copyPlane(p)
  let specks = 0
  const word = (y: number, x: number) =>
    y < 0 || x < 0 || x >= p.stride || y >= p.height ? 0 : (p.bits[y * p.stride + x] ?? 0)
  for (let y = 0; y < p.height; y++) {
    const tiles = Math.floor(y / TILE) * p.tilesX
    for (let x = 0; x < p.stride; x++) {
      const w = word(y, x)
      const up = word(y - 1, x)
      const down = word(y + 1, x)
      // All ink or none of it round here.
      if (w === up && w === down && (w === 0 || w === ALL)) continue
      if (!flat(tiles + Math.floor(x / TILE_WORDS))) continue
      let some = up | down
      let all = up & down
      for (const [row, middle] of [
        [y - 1, up],
        [y, w],
        [y + 1, down],
      ] as const) {
        const left = (middle << 1) | (word(row, x - 1) >>> 31)
        const right = (middle >>> 1) | (word(row, x + 1) << 31)
        some |= left | right
        all &= left & right
      }
      const lone = w & ~some
      const hole = ~w & all
      if ((lone | hole) === 0) continue
      specks += popcount(lone) + popcount(hole)
      out.bits[y * p.stride + x] = (w & ~lone) | hole
    }
  }
  return { plane: out, specks }
}

/** Takes all ink out of cells of 8 x 8 pixels. */
export function clearCells(p: Plane, cells: readonly number[], columns: number): void {
  for (const c of cells) {
    const x = (c % columns) * CELL
    for (let y = Math.floor(c / columns) * CELL, end = y + CELL; y < end; y++) {
      const at = y * p.stride + (x >> 5)
      p.bits[at] = (p.bits[at] ?? 0) & ~(0xff << (x & 31))
    }
  }
}

/** Ink pixels in cells of 8 x 8 pixels. */
export function inkInCells(p: Plane, cells: readonly number[], columns: number): number {
  let ink = 0
  for (const c of cells) {
    const x = (c % columns) * CELL
    for (let y = Math.floor(c / columns) * CELL, end = y + CELL; y < end; y++)
      ink += popcount((p.bits[y * p.stride + (x >> 5)] ?? 0) & (0xff << (x & 31)))
  }
  return ink
}
