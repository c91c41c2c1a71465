import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Reason } from '@/core/advice'
import type { Outcome } from '@/core/quantity'
import { PushButton } from '@/ui/PushButton'
import { TextButton } from '@/ui/Section'
import { Told } from '@/ui/Told'

interface Props {
  readonly label: string
  readonly head: number
  readonly reasons: readonly Reason[]
  readonly isNoted: boolean
  /** It was read on a simulated head: the press has not moved. */
  readonly isSimulated: boolean
  readonly note: () => Promise<Outcome>
  readonly forget: () => Promise<Outcome>
  readonly onNoted: (noted: boolean) => void
}

/** What was read at a head, to be noted for it and taken back. */
export function Noting({ label, head, reasons, isNoted, isSimulated, note, forget, onNoted }: Props) {
  const [problem, setProblem] = useState('')
  const say = async (act: () => Promise<Outcome>, noted: boolean) => {
    const done = await act()
    setProblem(done.ok ? '' : done.message)
    if (done.ok) onNoted(noted)
  }
  return (
    <Box mb="3">
      <Told reasons={reasons} />
      <Flex gap="4" mt="2" align="baseline" role="status" aria-label={label}>
        {isSimulated ? (
          <Box color="soft">Read on a simulated head: nothing is noted of it.</Box>
        ) : isNoted ? (
          <>
            Noted for head {head}.
            <TextButton onClick={() => void say(forget, false)}>take it back</TextButton>
          </>
        ) : (
          <PushButton type="button" onClick={() => void say(note, true)}>
            Note it for head {head}
          </PushButton>
        )}
        {problem && <Box role="alert">{problem}</Box>}
      </Flex>
    </Box>
  )
}
