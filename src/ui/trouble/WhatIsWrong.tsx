import { Box, Flex, Grid } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import {
  GROUPS,
  type Group,
  type Knowledge,
  likelyGroups,
  type RunFacts,
  SYMPTOMS,
  type SymptomId,
} from '@/core/trouble'
import { Tap } from '../Tap'
import { SymptomDrawing } from './SymptomDrawing'

/** Twelve groups, then the few symptoms of the one that was tapped. */
export function WhatIsWrong({
  known,
  facts,
  onSymptom,
}: {
  readonly known: Knowledge
  readonly facts: RunFacts
  readonly onSymptom: (symptom: SymptomId) => void
}) {
  const [group, setGroup] = useState<Group>()
  const heading = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (group) heading.current?.focus()
  }, [group])
  const groups = likelyGroups(known, facts)
  const shown = groups.find((g) => g.group === group)
  return (
    <Box role="group" aria-label="What is wrong">
      <Flex align="baseline" gap="4" mb="2">
        <Box fontSize="title" fontWeight="700" tabIndex={-1} ref={heading}>
          {shown ? `${GROUPS[shown.group]}: which of these?` : 'What is wrong?'}
        </Box>
        {!shown && (
          <Box color="soft" ml="auto">
            likeliest in this run first
          </Box>
        )}
      </Flex>
      <Grid templateColumns="repeat(auto-fill, minmax(11.5rem, 1fr))" gap="2">
        {shown ? (
          <>
            {shown.symptoms.map((s) => (
              <Pictured key={s} symptom={s} words={SYMPTOMS[s].label} onTap={() => onSymptom(s)} />
            ))}
            <Tap tall onTap={() => setGroup(undefined)}>
              None of these
            </Tap>
          </>
        ) : (
          groups.map((g) => (
            <Pictured
              key={g.group}
              symptom={g.symptoms[0] as SymptomId}
              words={GROUPS[g.group]}
              onTap={() => setGroup(g.group)}
            />
          ))
        )}
      </Grid>
    </Box>
  )
}

function Pictured({
  symptom,
  words,
  onTap,
}: {
  readonly symptom: SymptomId
  readonly words: string
  readonly onTap: () => void
}) {
  return (
    <Tap tall onTap={onTap}>
      <Flex align="center" gap="3" textAlign="left">
        <SymptomDrawing symptom={symptom} />
        <Box fontSize="lead" lineHeight="1.2">
          {words}
        </Box>
      </Flex>
    </Tap>
  )
}
