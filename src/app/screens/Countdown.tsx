'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { PushButton } from '@/ui/PushButton'

const clock = (seconds: number) => {
  const s = Math.max(0, Math.ceil(seconds))
  return s < 60 ? `${s} s` : `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
}

/** A tone for hands that are busy and eyes that look elsewhere. */
function beep(): void {
  const audio = new AudioContext()
  const tone = audio.createOscillator()
  tone.frequency.value = 880
  tone.connect(audio.destination)
  tone.start()
  tone.stop(audio.currentTime + 0.8)
  tone.onended = () => void audio.close()
}

/** A button for the light; once it burns, what is left in figures that can be read across the room. */
export function Countdown({ seconds, label }: { readonly seconds: number; readonly label: string }) {
  const [left, setLeft] = useState<number>()
  const timer = useRef<ReturnType<typeof setInterval>>(undefined)
  const stop = () => {
    clearInterval(timer.current)
    timer.current = undefined
  }
  useEffect(() => () => clearInterval(timer.current), [])
  const start = () => {
    const end = performance.now() + seconds * 1000
    setLeft(seconds)
    timer.current = setInterval(() => {
      const now = (end - performance.now()) / 1000
      setLeft(now)
      if (now > 0) return
      stop()
      beep()
    }, 100)
  }
  const running = left !== undefined && left > 0
  const done = left !== undefined && left <= 0
  return (
    <Flex align="center" gap={left === undefined ? '0' : '3'}>
      <Box
        role="timer"
        aria-label={label}
        fontSize="huge"
        fontWeight="750"
        lineHeight="1"
        minWidth={left === undefined ? undefined : '5.5rem'}
        textAlign="right"
      >
        {left !== undefined && clock(left)}
      </Box>
      <PushButton
        type="button"
        onClick={() => {
          if (running) {
            stop()
            setLeft(undefined)
          } else start()
        }}
      >
        {running ? 'Stop' : done ? 'Again' : 'Start timer'}
      </PushButton>
      <Box role="status" fontWeight="700">
        {done ? 'Time up. Switch the lamp off.' : ''}
      </Box>
    </Flex>
  )
}
