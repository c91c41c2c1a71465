import sharp from 'sharp'
import { type Plane, type Rectangle, SMALLEST, sharesOf } from '@/core/artwork'
import { INCH } from '@/core/quantity'

/** A film's colour in a composed picture. */
export interface Paint {
  readonly hex: string
  /** Lets what lies below shine through, as process inks do. */
  readonly clear: boolean
}

/** Clear border of a picture, as a share of the print. */
const BORDER = 0.06

const channels = (hex: string) => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))

/** A print as it will look on the cloth, as a PNG of a given width. */
export async function composed(
  table: { readonly print: Rectangle; readonly planes: readonly Plane[] },
  dpi: number,
  films: readonly (Paint & { readonly film: number })[],
  cloth: string,
  width: number,
): Promise<Uint8Array> {
  const px = dpi / INCH
  const border = Math.max(table.print.width, table.print.height) * BORDER
  const wide = (table.print.width + 2 * border) * px
  const level = Math.max(0, Math.min(SMALLEST, Math.floor(Math.log2(wide / (2 * width)))))
  const at = (metres: number) => Math.round((metres * px) / 2 ** level)
  const [left, top] = [at(table.print.x - border), at(table.print.y - border)]
  const [w, h] = [at(table.print.width + 2 * border), at(table.print.height + 2 * border)]
  const ground = channels(cloth)
  const rgb = new Uint8Array(w * h * 3)
  for (let i = 0; i < rgb.length; i++) rgb[i] = ground[i % 3] ?? 0
  for (const { film, hex, clear } of films) {
    const print = table.planes[film]
    if (!print) continue
    const ink = channels(hex)
    const shares = sharesOf(print, level, left, top, w, h)
    for (let i = 0; i < shares.length; i++) {
      const share = (shares[i] ?? 0) / 255
      if (share === 0) continue
      for (let c = 0; c < 3; c++) {
        const under = rgb[i * 3 + c] ?? 0
        const over = clear ? (under * (ink[c] ?? 0)) / 255 : (ink[c] ?? 0)
        rgb[i * 3 + c] = Math.round(under + share * (over - under))
      }
    }
  }
  return new Uint8Array(
    await sharp(rgb, { raw: { width: w, height: h, channels: 3 } })
      .resize({ width })
      .png({ palette: false })
      .toBuffer(),
  )
}

/** Ink shares of each film in a square round the print, side by side pixels, a byte each. */
export function masksOf(
  table: { readonly print: Rectangle; readonly planes: readonly Plane[] },
  dpi: number,
  side: number,
): readonly Uint8Array[] {
  const px = dpi / INCH
  const { x, y, width, height } = table.print
  const span = Math.max(width, height) * (1 + 2 * BORDER)
  const level = Math.max(0, Math.min(SMALLEST, Math.floor(Math.log2((span * px) / side))))
  const at = (metres: number) => Math.round((metres * px) / 2 ** level)
  const [left, top] = [at(x + width / 2 - span / 2), at(y + height / 2 - span / 2)]
  const wide = at(span)
  return table.planes.map((plane) => {
    const shares = sharesOf(plane, level, left, top, wide, wide)
    const out = new Uint8Array(side * side)
    for (let j = 0; j < side; j++)
      for (let i = 0; i < side; i++)
        out[j * side + i] = shares[Math.floor((j * wide) / side) * wide + Math.floor((i * wide) / side)] ?? 0
    return out
  })
}
