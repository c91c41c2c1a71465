'use client'

import { Box, Flex } from '@chakra-ui/react'
import { PushButton } from '@/ui/PushButton'
import { clock, lampOff, lampOn, useLamp } from './lamp'

interface Props {
  readonly seconds: number
  /** What is exposed: it tells this lamp from others. */
  readonly what: string
}

/** A button for the light; once it burns, what is left in figures that can be read across the room. */
export function Countdown({ seconds, what }: Props) {
  const on = useLamp()
  const own = on?.lamp.what === what ? on : undefined
  const running = own !== undefined && own.left > 0
  return (
    <Flex align="center" gap={own ? '3' : '0'}>
      <Box
        role="timer"
        aria-label="Exposure"
        fontSize="huge"
        fontWeight="750"
        lineHeight="1"
        minWidth={own && '5.5rem'}
        textAlign="right"
      >
        {own && clock(own.left)}
      </Box>
      <PushButton
        type="button"
        disabled={on !== undefined && !own}
        onClick={() => (running ? lampOff() : lampOn(what, seconds))}
      >
        {running ? 'Stop' : own ? 'Again' : on ? 'The lamp burns' : 'Start timer'}
      </PushButton>
    </Flex>
  )
}
