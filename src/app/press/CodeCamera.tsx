import { Box } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'

/** How often a picture is looked through, ms. */
const EVERY = 250
/** A code on a sheet, alone or at the end of a link. */
const CODE = /([A-Z0-9]{3,12})$/i

/** Looks through the camera until it sees the square of a sheet. */
export function CodeCamera({ onCode }: { readonly onCode: (code: string) => void }) {
  const video = useRef<HTMLVideoElement>(null)
  const [problem, setProblem] = useState('')
  useEffect(() => {
    let stream: MediaStream | undefined
    let timer: ReturnType<typeof setInterval> | undefined
    let gone = false
    const begin = async () => {
      // Browsers give the camera only to pages with a certificate, and to this very machine.
      if (!navigator.mediaDevices) throw new Error('no camera is given to this page')
      const [{ default: readSquare }, taken] = await Promise.all([
        import('jsqr'),
        navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } }),
      ])
      stream = taken
      if (gone) return end()
      const place = video.current
      if (!place) return
      place.srcObject = taken
      await place.play()
      const canvas = document.createElement('canvas')
      timer = setInterval(() => {
        const [width, height] = [place.videoWidth, place.videoHeight]
        if (width === 0) return
        Object.assign(canvas, { width, height })
        const paper = canvas.getContext('2d', { willReadFrequently: true })
        if (!paper) return
        paper.drawImage(place, 0, 0, width, height)
        const seen = readSquare(paper.getImageData(0, 0, width, height).data, width, height)
        const code = seen && CODE.exec(seen.data)?.[1]
        if (!code) return
        end()
        onCode(code)
      }, EVERY)
    }
    const end = () => {
      clearInterval(timer)
      for (const track of stream?.getTracks() ?? []) track.stop()
    }
    begin().catch(() => setProblem('No camera can be used here: type the code.'))
    return () => {
      gone = true
      end()
    }
  }, [onCode])
  return problem ? (
    <Box role="alert" mb="4">
      {problem}
    </Box>
  ) : (
    <Box mb="4">
      <video ref={video} muted playsInline aria-label="What the camera sees" width={320} height={240} />
    </Box>
  )
}
