'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { RunHeat } from '@/core/plan'
import { TextButton } from '@/ui/Section'
import { Told } from '@/ui/Told'
import { useSticking } from '../../usePlan'

/** The one question that tells the two causes apart, and what each answer asks for. */
const ANSWERS = { letsGo: 'it lets go', tacky: 'it is still tacky' } as const

/** A print sticks to the next screen: which cause the run rules out, and what to do. */
export function Sticks({ heat }: { readonly heat: RunHeat }) {
  const found = useSticking(heat)
  const [answers, setAnswers] = useState<Readonly<Record<string, keyof typeof ANSWERS>>>({})
  if (!found || found.length === 0) return null
  return (
    <Box mt="5">
      <Box fontSize="lead" fontWeight="650" mb="1">
        If a print sticks
      </Box>
      {found.map((s, i) => {
        const key = `${i} ${s.name}`
        const answer = answers[key]
        return (
          <Box key={key} role="group" aria-label={`Sticks under ${s.name}`} mb="3">
            <Told reasons={s.trace} />
            <Flex gap="3" align="baseline" wrap="wrap" py="1.5" pl="8">
              Let it cool for a minute and touch it:
              {(['letsGo', 'tacky'] as const).map((which) => (
                <TextButton
                  key={which}
                  aria-pressed={answer === which}
                  fontWeight={answer === which ? '750' : '550'}
                  onClick={() => setAnswers({ ...answers, [key]: which })}
                >
                  {ANSWERS[which]}
                </TextButton>
              ))}
            </Flex>
            {answer && <Told reasons={s[answer]} />}
          </Box>
        )
      })}
    </Box>
  )
}
