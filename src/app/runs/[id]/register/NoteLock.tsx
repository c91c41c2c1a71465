import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { lockSaid, type Pose } from '@/core/registration'
import { localNow } from '@/ui/clock'
import { PushButton } from '@/ui/PushButton'
import { TextButton } from '@/ui/Section'
import { Told } from '@/ui/Told'
import { act } from '../../../acts/act'

interface Props {
  readonly pressId: string
  readonly head: number
  readonly before: Pose
  readonly after: Pose
  readonly isNoted: boolean
  /** It was read on a simulated head: the press has not moved. */
  readonly isSimulated: boolean
  readonly onNoted: (noted: boolean) => void
}

/** How far locking moved the screen, to be noted for its head. */
export function NoteLock({ pressId, head, before, after, isNoted, isSimulated, onNoted }: Props) {
  const [problem, setProblem] = useState('')
  const moved = { dx: after.dx - before.dx, dy: after.dy - before.dy, turn: after.turn - before.turn }
  const note = async () => {
    const done = await act('noteLock', { pressId, head, at: localNow(), ...moved })
    setProblem(done.ok ? '' : done.message)
    if (done.ok) onNoted(true)
  }
  const forget = async () => {
    const done = await act('forgetLock', { pressId, head })
    setProblem(done.ok ? '' : done.message)
    if (done.ok) onNoted(false)
  }
  return (
    <Box mb="3">
      <Told reasons={[lockSaid(moved)]} />
      <Flex gap="4" mt="2" align="baseline" role="status" aria-label="This lock">
        {isSimulated ? (
          <Box color="soft">Read on a simulated head: nothing is noted of it.</Box>
        ) : isNoted ? (
          <>
            Noted for head {head}.<TextButton onClick={() => void forget()}>take it back</TextButton>
          </>
        ) : (
          <PushButton type="button" onClick={() => void note()}>
            Note it for head {head}
          </PushButton>
        )}
        {problem && <Box role="alert">{problem}</Box>}
      </Flex>
    </Box>
  )
}
