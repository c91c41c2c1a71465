import { PIECE } from '@/core/artwork'

/** Tiles of films as the light table draws them: fetched once, tinted when a colour is wanted. */

/** Pieces kept; each takes 256 kB once tinted. */
const KEPT = 240

interface Tile {
  shares: Uint8Array | undefined
  hex?: string
  canvas?: HTMLCanvasElement
}

/** A film's tiles under one set key. */
export class Tiles {
  private readonly tiles = new Map<string, Tile>()
  private waiting = 0

  constructor(
    private readonly base: string,
    private readonly key: string,
    /** Told how many are still on their way. */
    private readonly onChange: (waiting: number) => void,
  ) {}

  /** The tile in a colour; undefined while it comes, or where there is no ink. */
  get(film: string, level: number, x: number, y: number, hex: string): HTMLCanvasElement | undefined {
    const name = `${film}/${level}/${x}/${y}`
    const tile = this.tiles.get(name)
    if (!tile) {
      void this.fetch(name, film, level, x, y)
      return undefined
    }
    this.tiles.delete(name)
    this.tiles.set(name, tile)
    if (!tile.shares) return undefined
    if (tile.hex !== hex || !tile.canvas) {
      tile.canvas = tinted(tile.shares, hex)
      tile.hex = hex
    }
    return tile.canvas
  }

  private async fetch(name: string, film: string, level: number, x: number, y: number): Promise<void> {
    const tile: Tile = { shares: undefined }
    this.tiles.set(name, tile)
    this.onChange(++this.waiting)
    for (const old of [...this.tiles.keys()].slice(0, -KEPT)) this.tiles.delete(old)
    const query = new URLSearchParams({ film, key: this.key, level: `${level}`, x: `${x}`, y: `${y}` })
    const bytes = await fetch(`${this.base}/tile?${query}`)
      .then((r) => (r.ok ? r.arrayBuffer() : undefined))
      .catch(() => undefined)
    if (!bytes) this.tiles.delete(name)
    // Where there is no ink the answer is empty.
    else if (bytes.byteLength > 0) tile.shares = new Uint8Array(bytes)
    this.onChange(--this.waiting)
  }
}

function tinted(shares: Uint8Array, hex: string): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  canvas.width = PIECE
  canvas.height = PIECE
  const context = canvas.getContext('2d') as CanvasRenderingContext2D
  const image = context.createImageData(PIECE, PIECE)
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16))
  for (let i = 0; i < shares.length; i++) {
    image.data[4 * i] = r
    image.data[4 * i + 1] = g
    image.data[4 * i + 2] = b
    image.data[4 * i + 3] = shares[i] ?? 0
  }
  context.putImageData(image, 0, 0)
  return canvas
}
