/** Pixels an inch that a raster file states, across and down: printers of films lay them closer one way than the other. */
export interface Density {
  readonly across: number
  readonly down: number
}

const INCH_M = 0.0254

/** A PNG's `pHYs` (PNG specification, section 11.3.4.3): pixels a metre both ways. */
function ofPng(bytes: DataView): Density | undefined {
  // Chunks: length, type, data, check. The size of a pixel stands before the picture.
  for (let at = 8; at + 12 <= bytes.byteLength; ) {
    const length = bytes.getUint32(at)
    const type = bytes.getUint32(at + 4)
    if (type === 0x49444154) return undefined
    if (type === 0x70485973 && length === 9 && at + 17 <= bytes.byteLength && bytes.getUint8(at + 16) === 1)
      return { across: bytes.getUint32(at + 8) * INCH_M, down: bytes.getUint32(at + 12) * INCH_M }
    at += 12 + length
  }
  return undefined
}

/** A TIFF's resolution (TIFF 6.0: tags 282, 283 and 296) in its first directory. */
function ofTiff(bytes: DataView): Density | undefined {
  const little = bytes.getUint16(0) === 0x4949
  if (bytes.getUint16(2, little) !== 42) return undefined
  const start = bytes.getUint32(4, little)
  const count = bytes.getUint16(start, little)
  let [across, down, unit] = [0, 0, 2]
  for (let i = 0; i < count; i++) {
    const entry = start + 2 + 12 * i
    const tag = bytes.getUint16(entry, little)
    const rational = () => {
      const at = bytes.getUint32(entry + 8, little)
      return bytes.getUint32(at, little) / bytes.getUint32(at + 4, little)
    }
    if (tag === 282) across = rational()
    if (tag === 283) down = rational()
    if (tag === 296) unit = bytes.getUint16(entry + 8, little)
  }
  const inch = unit === 2 ? 1 : unit === 3 ? 2.54 : 0
  return across > 0 && down > 0 && inch > 0 ? { across: across * inch, down: down * inch } : undefined
}

/** What a PNG or TIFF states; undefined for others, and where it states nothing. */
export function densityOf(file: Uint8Array): Density | undefined {
  const bytes = new DataView(file.buffer, file.byteOffset, file.byteLength)
  try {
    if (bytes.getUint32(0) === 0x89504e47) return ofPng(bytes)
    if (bytes.getUint16(0) === 0x4949 || bytes.getUint16(0) === 0x4d4d) return ofTiff(bytes)
  } catch (error) {
    // A directory that leads out of the file: the reader of the picture says what is wrong with it.
    if (!(error instanceof RangeError)) throw error
  }
  return undefined
}
