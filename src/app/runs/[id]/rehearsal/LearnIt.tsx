import { Box, Flex, Grid } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import type { RunPlan } from '@/core/plan'
import type { Lesson, TrialPlan } from '@/core/rehearsal'
import { Input, Label } from '@/ui/elements'
import { Section, TextButton } from '@/ui/Section'
import { Tap } from '@/ui/Tap'
import { OneLesson } from './OneLesson'
import { forget, keepPassed, type Passed, passedBy } from './passed'
import type { Rehearsing } from './useRehearsal'

const LEVELS = { 1: 'One fault, told where', 2: 'One fault', 3: 'Two faults', 4: 'A false alarm?' } as const

/** A fault is planted: the trainee looks, asks, changes, and names it. */
export function LearnIt({
  run,
  plan,
  trial,
  onPlanned,
}: {
  readonly run: Rehearsing
  readonly plan: RunPlan
  readonly trial: TrialPlan
  readonly onPlanned: (pieces: number) => void
}) {
  const [lessons, setLessons] = useState<readonly Lesson[]>()
  const [lesson, setLesson] = useState<Lesson>()
  const [trainee, setTrainee] = useState('')
  const [isKept, setKept] = useState(true)
  const [passed, setPassed] = useState<Passed>({})
  const { remote } = run
  useEffect(() => {
    let current = true
    void remote()
      .lessons(trial)
      .then((found) => current && setLessons(found))
    return () => {
      current = false
    }
  }, [remote, trial])
  if (lesson)
    return (
      <OneLesson
        key={lesson.id}
        run={run}
        trial={trial}
        lesson={lesson}
        onPlanned={onPlanned}
        onDone={(points) => {
          if (points === undefined) return
          setPassed((now) =>
            isKept
              ? keepPassed(trainee, `${plan.run.id} ${lesson.id}`, points)
              : { ...now, [`${plan.run.id} ${lesson.id}`]: points },
          )
        }}
        onLeave={() => setLesson(undefined)}
      />
    )
  return (
    <Section title="Lessons from this plan">
      <Flex gap="4" align="end" wrap="wrap" mb="3">
        <Box>
          <Label htmlFor="trainee">Who learns</Label>
          <Input
            id="trainee"
            value={trainee}
            maxLength={40}
            onChange={(e) => {
              setTrainee(e.target.value)
              setPassed(passedBy(e.target.value))
            }}
          />
        </Box>
        <Tap chosen={isKept} onTap={() => setKept(!isKept)}>
          Kept on this device: {isKept ? 'yes' : 'no'}
        </Tap>
        <TextButton
          onClick={() => {
            forget(trainee)
            setPassed({})
          }}
        >
          Forget what was kept
        </TextButton>
      </Flex>
      <Box color="soft" mb="3">
        100 points for the share of good pieces; less 2 for each spoiled, 1 for each minute over what the
        ranked list itself takes, half a point for each look beyond three, 5 for a hint; 10 more when every
        cause is named right. 70 and the cause pass.
      </Box>
      <Grid role="group" aria-label="Lessons" templateColumns="repeat(auto-fill, minmax(14rem, 1fr))" gap="2">
        {(lessons ?? []).map((l) => {
          const points = passed[`${plan.run.id} ${l.id}`]
          return (
            <Tap key={l.id} tall onTap={() => setLesson(l)}>
              <Box>
                <Box fontSize="lead">{l.title}</Box>
                <Box fontWeight="500">
                  Level {l.level}: {LEVELS[l.level]}
                  {points !== undefined && `, passed with ${points}`}
                </Box>
              </Box>
            </Tap>
          )
        })}
      </Grid>
      {lessons?.length === 0 && <Box>This plan has nothing to learn on.</Box>}
    </Section>
  )
}
