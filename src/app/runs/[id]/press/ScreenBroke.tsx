import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { BROKE, type Broke } from '@/core/equipment'
import { keysOf } from '@/core/quantity'
import { Section } from '@/ui/Section'
import { Tap } from '@/ui/Tap'
import { act } from '../../../acts/act'
import type { AtPress, RunFrame } from './atPress'

/** A screen that broke: which, and what of it; the screen room makes it anew, and the press stands for it. */
export function ScreenBroke({ frames, plan, say }: AtPress & { readonly frames: readonly RunFrame[] }) {
  const [chosen, setChosen] = useState<RunFrame>()
  const [told, setTold] = useState('')
  if (frames.length === 0 && told === '') return null
  const tell = async (frame: RunFrame, what: Broke) => {
    const done = await act('tellBroke', { runId: plan.run.id, frameId: frame.id, what })
    setChosen(undefined)
    if (!done.ok) return setTold(done.message)
    say({ kind: 'changed', part: 'screen', hit: '' })
    say({ kind: 'pause', cause: 'screen' })
    setTold(`${frame.words}: the screen room makes it anew. The press stands for it.`)
  }
  return (
    <Section title="A screen broke">
      <Flex gap="2" wrap="wrap" py="2" role="group" aria-label="Which screen broke">
        {frames.map((f) => (
          <Tap
            key={f.id}
            chosen={f.id === chosen?.id}
            onTap={() => setChosen(f.id === chosen?.id ? undefined : f)}
          >
            {f.id} {f.words}
          </Tap>
        ))}
      </Flex>
      {chosen && (
        <Flex gap="2" wrap="wrap" pb="2" role="group" aria-label={`What broke, ${chosen.id}`}>
          {keysOf(BROKE).map((what) => (
            <Tap key={what} onTap={() => void tell(chosen, what)}>
              {BROKE[what]}
            </Tap>
          ))}
        </Flex>
      )}
      {told && <Box role="status">{told}</Box>}
    </Section>
  )
}
