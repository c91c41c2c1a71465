import { Box, Flex } from '@chakra-ui/react'
import { format } from 'date-fns'
import { useState } from 'react'
import { type NumberAdvice, numberOf } from '@/core/advice'
import { keysOf } from '@/core/quantity'
import { type ScreenStep, SETUP_STEPS, type SetupStep, setupSaid, setupTimes } from '@/core/registration'
import { AskNumber } from '@/ui/AskNumber'
import { Input } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { Section } from '@/ui/Section'
import { act } from '../../../acts/act'

interface Props {
  readonly runId: string
  readonly hitId: string
  /** What is done of this screen. */
  readonly done: readonly ScreenStep[]
  readonly offContact: NumberAdvice
  /** Seconds that are planned for a screen, where the run can be timed. */
  readonly planned: number | undefined
}

/** The set-up of a head in its order: what good looks like, ticked as it is done, each with its time. */
export function SetupList({ runId, hitId, done, offContact, planned }: Props) {
  const [problem, setProblem] = useState('')
  const { since, total } = setupTimes(done)
  const tick = async (step: SetupStep, isDone: boolean) => {
    const of = { runId, hitId, step }
    const answer = isDone
      ? await act('undoStep', of)
      : await act('doStep', { ...of, at: format(new Date(), "yyyy-MM-dd'T'HH:mm:ss") })
    setProblem(answer.ok ? '' : answer.message)
  }
  return (
    <Section
      title="Set-up of this head"
      side={
        total > 0 &&
        planned !== undefined && (
          <AskNumber label="Set-up so far" reasons={setupSaid(total, planned)}>
            <Measure kind="workTime" value={total} />
          </AskNumber>
        )
      }
    >
      {keysOf(SETUP_STEPS).map((step) => {
        const { name, good } = SETUP_STEPS[step]
        const isDone = done.some((d) => d.step === step)
        const took = since[step]
        return (
          <Flex
            as="label"
            key={step}
            gap="3"
            align="baseline"
            py={{ base: '2', lg: '1' }}
            borderTop="1px solid"
            borderColor="rule"
            cursor="pointer"
          >
            <Input
              type="checkbox"
              checked={isDone}
              onChange={() => void tick(step, isDone)}
              width="1.1rem"
              height="1.1rem"
              flex="none"
              accentColor="ink"
              alignSelf="center"
            />
            <Box width="9rem" flex="none" fontWeight="650">
              {name}
            </Box>
            <Box flex="1" color="soft">
              {step === 'offContact' && (
                <>
                  <Measure kind="length" value={numberOf(offContact)} />,{' '}
                </>
              )}
              {good}
            </Box>
            <Box flex="none" className="num">
              {took !== undefined && <Measure kind="duration" value={took} />}
            </Box>
          </Flex>
        )
      })}
      {problem && <Box role="alert">{problem}</Box>}
    </Section>
  )
}
