import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { isPaused, isUnderWay, PAUSED_BY } from '@/core/record'
import { Tap } from '@/ui/Tap'
import type { AtPress } from './atPress'
import { Causes } from './Causes'

/** Whether the press runs, and the tap that changes it. */
export function Standing({ said, say }: AtPress) {
  const [asking, setAsking] = useState(false)
  const state = isUnderWay(said)
  const paused = isPaused(said)
  if (asking)
    return (
      <Causes
        label="Why the press stands"
        ask="Why does the press stand?"
        options={PAUSED_BY}
        back="It goes on"
        onCause={(cause) => {
          if (cause) say({ kind: 'pause', cause })
          setAsking(false)
        }}
      />
    )
  return (
    <Flex gap="3" align="center" wrap="wrap" mb="3">
      <Box flex="1 1 10rem" fontSize="lead" fontWeight="700" role="status" aria-label="The press">
        {state === 'new' && 'Not begun'}
        {state === 'ended' && 'Ended'}
        {state === 'going' && (paused ? `Stands: ${PAUSED_BY[paused].toLowerCase()}` : 'Runs')}
      </Box>
      {state !== 'going' && (
        <Tap onTap={() => say({ kind: 'start' })}>{state === 'new' ? 'Begin the run' : 'Begin again'}</Tap>
      )}
      {state === 'going' && paused && <Tap onTap={() => say({ kind: 'go' })}>Go on</Tap>}
      {state === 'going' && <Tap onTap={() => setAsking(true)}>{paused ? 'Another cause' : 'Pause'}</Tap>}
    </Flex>
  )
}
