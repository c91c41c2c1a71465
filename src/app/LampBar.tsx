'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useEffect } from 'react'
import { PushButton } from '@/ui/PushButton'
import { clock, lampHeard, lampOff, useLamp } from './screens/lamp'

/** A tone for hands that are busy and eyes that look elsewhere; browsers give none before the page was touched. */
function beep(): void {
  if (!navigator.userActivation?.hasBeenActive) return
  const audio = new AudioContext()
  const tone = audio.createOscillator()
  tone.frequency.value = 880
  tone.connect(audio.destination)
  tone.start()
  tone.stop(audio.currentTime + 0.8)
  tone.onended = () => void audio.close()
}

/** The lamp of the screen room, on every page: what is left, and that its time is up until someone says it is off. */
export function LampBar() {
  const on = useLamp()
  const up = on !== undefined && on.left <= 0
  const rings = up && !on.lamp.heard
  useEffect(() => {
    if (!on || !rings) return
    lampHeard(on.lamp)
    beep()
  }, [on, rings])
  return (
    <Flex
      position="fixed"
      bottom="4"
      right="4"
      zIndex="20"
      gap="4"
      align="center"
      {...(on && { bg: 'raised', border: '2px solid', borderColor: 'ink', px: '4', py: '2' })}
    >
      {on && (
        <Box role="timer" aria-label="Lamp" fontSize="figure" fontWeight="750" lineHeight="1">
          {clock(on.left)}
        </Box>
      )}
      <Box role="status" aria-label="What the lamp does" maxWidth="18rem">
        {on && (up ? `Time up. Switch the lamp off: ${on.lamp.what}` : `Lamp on: ${on.lamp.what}`)}
      </Box>
      {up && (
        <PushButton type="button" onClick={lampOff}>
          It is off
        </PushButton>
      )}
    </Flex>
  )
}
