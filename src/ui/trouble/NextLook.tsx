import { Box, Grid } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import { message } from '@/core/advice'
import {
  answersTo,
  type Consulted,
  type Knowledge,
  QUESTIONS,
  type QuestionId,
  type RunFacts,
} from '@/core/trouble'
import { useSettings } from '../settings'
import { Tap } from '../Tap'
import { answerWords, timeWords } from './words'

/** The one look that saves most time; it can always be left. */
export function NextLook({
  look,
  facts,
  known,
  onAnswer,
  onCannot,
}: {
  readonly look: NonNullable<Consulted['look']>
  readonly facts: RunFacts
  readonly known: Knowledge
  readonly onAnswer: (ask: QuestionId, answer: string) => void
  readonly onCannot: (ask: QuestionId) => void
}) {
  const { units } = useSettings()
  const { ask } = look
  const heading = useRef<HTMLDivElement>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new look is a new heading
  useEffect(() => heading.current?.focus({ preventScroll: true }), [ask])
  return (
    <Box role="group" aria-label="Look" bg="raised" p="3">
      <Box fontSize="title" fontWeight="750" lineHeight="1.2" tabIndex={-1} ref={heading}>
        {QUESTIONS[ask].ask}
      </Box>
      <Box color="soft" mb="2">
        {timeWords(QUESTIONS[ask].seconds)}. {look.why.map((r) => message(r, units)).join(' ')}
      </Box>
      <Grid templateColumns="repeat(auto-fit, minmax(8.5rem, 1fr))" gap="2">
        {answersTo(known.book, ask, facts).map(({ answers }) => (
          <Tap key={answers[0]} tall onTap={() => onAnswer(ask, answers[0] as string)}>
            <Box fontSize="lead">{answerWords(answers.join(', '), units)}</Box>
          </Tap>
        ))}
        <Tap tall onTap={() => onCannot(ask)}>
          <Box fontWeight="500">Cannot look</Box>
        </Tap>
      </Grid>
    </Box>
  )
}
