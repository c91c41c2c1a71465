import { Box } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import type { Drawing } from './useRehearsal'

/** The piece that was printed last, drawn large; what is wrong with it stands beside it in words. */
export function PieceDrawing({
  drawing,
  says,
}: {
  readonly drawing: Drawing | undefined
  readonly says: string
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const context = canvas.current?.getContext('2d', { willReadFrequently: true })
    if (!context || !drawing) return
    const image = new ImageData(new Uint8ClampedArray(drawing.pixels), drawing.side, drawing.side)
    context.putImageData(image, 0, 0)
  }, [drawing])
  return (
    <Box
      display={{ base: drawing ? 'block' : 'none', md: 'block' }}
      bg="raised"
      width="100%"
      maxWidth="30rem"
      aspectRatio="1"
      border="1px solid"
      borderColor="soft"
    >
      <canvas
        ref={canvas}
        width={drawing?.side ?? 176}
        height={drawing?.side ?? 176}
        role="img"
        aria-label={says}
        style={{ width: '100%', height: '100%', display: 'block' }}
      />
    </Box>
  )
}
