import readSquare from 'jsqr'
import { toBuffer } from 'qrcode'
import sharp from 'sharp'
import { expect, it } from 'vitest'

/** What the sheet carries, read by the library that looks through the camera: a small square on a large, grey, turned picture. */
it.each(['7N6YG', 'XFXXY', 'K7Q2M'])('the square of %s is read back, small and askew', async (code) => {
  const square = await sharp(await toBuffer(code, { margin: 2, scale: 6 }))
    .rotate(17, { background: '#ffffff' })
    .toBuffer()
  const { data, info } = await sharp({
    create: { width: 640, height: 480, channels: 4, background: '#c8c8c8' },
  })
    .composite([{ input: square, left: 210, top: 120 }])
    .blur(0.8)
    .raw()
    .toBuffer({ resolveWithObject: true })
  const seen = readSquare(new Uint8ClampedArray(data), info.width, info.height)
  expect(seen?.data).toBe(code)
})
