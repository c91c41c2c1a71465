import { Box, Flex, Grid } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { keysOf } from '@/core/quantity'
import { type Called, type Lesson, type Score, scoreOf, type TrialPlan } from '@/core/rehearsal'
import {
  CAUSES,
  type CauseId,
  QUESTIONS,
  type QuestionId,
  REMEDIES,
  type RemedyId,
  SYMPTOMS,
} from '@/core/trouble'
import { Pick } from '@/ui/given'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { Tap } from '@/ui/Tap'
import { SymptomDrawing } from '@/ui/trouble/SymptomDrawing'
import { answerWords, remedyWords } from '@/ui/trouble/words'
import { RunControls } from './RunControls'
import { SeenStrip } from './SeenStrip'
import type { Rehearsing } from './useRehearsal'

/** A lesson is no longer than this. */
const PIECES = 80

/** One planted fault, or two: looked for, named, mended, scored. */
export function OneLesson({
  run,
  trial,
  lesson,
  onPlanned,
  onDone,
  onLeave,
}: {
  readonly run: Rehearsing
  readonly trial: TrialPlan
  readonly lesson: Lesson
  readonly onPlanned: (pieces: number) => void
  readonly onDone: (points: number | undefined) => void
  readonly onLeave: () => void
}) {
  const { units } = useSettings()
  const planned = Math.min(PIECES, trial.pieces)
  const [called, setCalled] = useState<Called>()
  const [looks, setLooks] = useState<readonly { readonly ask: QuestionId; readonly answer: string }[]>([])
  const [seconds, setSeconds] = useState(0)
  const [named, setNamed] = useState<readonly CauseId[]>([])
  const [hinted, setHinted] = useState(false)
  const [par, setPar] = useState(600)
  const [score, setScore] = useState<Score>()
  const begun = useRef(false)
  const { begin, remote, progress } = run
  useEffect(() => {
    if (begun.current) return
    begun.current = true
    const seed = [...lesson.id].reduce((sum, c) => sum * 31 + c.charCodeAt(0), trial.pieces) % 100_000
    onPlanned(planned)
    void begin(lesson.faults, seed, planned)
    void remote()
      .par({ ...trial, pieces: planned }, seed, lesson.faults)
      .then(setPar)
  }, [begin, remote, lesson, trial, planned, onPlanned])
  useEffect(() => {
    const found = progress?.called.find((c) => !c.own) ?? progress?.called[0]
    if (found) setCalled(found)
  }, [progress])
  const look = async (ask: QuestionId) => {
    if (!called) return
    const answer = await run.look(called.symptom, ask, called.at)
    setSeconds((s) => s + QUESTIONS[ask].seconds)
    setLooks((now) => [...now, { ask, answer }])
  }
  const mend = async (remedy: RemedyId) => {
    setSeconds((s) => s + REMEDIES[remedy].seconds)
    await run.turn(remedy, called?.at ?? 0)
    await run.step(4)
  }
  const finish = () => {
    run.pause()
    const spoiled = progress?.spoiled ?? 0
    const right = lesson.faults.filter((f) => named.includes(f)).length
    const made = scoreOf({
      ...{ planned, spoiled, seconds, par },
      good: Math.max(0, (progress?.pieces ?? 0) - spoiled),
      looks: looks.length,
      hints: Number(hinted),
      named: right,
      planted: lesson.faults.length,
    })
    setScore(made)
    onDone(made.passed ? made.total : undefined)
  }
  if (score) return <Scored score={score} lesson={lesson} onLeave={onLeave} />
  const causes = keysOf(CAUSES).filter((c) => !called || Object.hasOwn(CAUSES[c].sees, called.symptom))
  return (
    <Box>
      <Flex align="baseline" gap="4" mb="2">
        <Box fontSize="title" fontWeight="700">
          {lesson.title}
        </Box>
        <Box ml="auto">
          <TextButton onClick={onLeave}>Leave the lesson</TextButton>
        </Box>
      </Flex>
      <RunControls run={run} planned={planned} />
      <SeenStrip progress={progress} planned={planned} />
      {called ? (
        <Flex align="center" gap="3" bg="raised" p="2" mb="3" role="alert">
          <SymptomDrawing symptom={called.symptom} />
          <Box fontSize="lead" fontWeight="700">
            Piece {called.piece}, somebody calls: {SYMPTOMS[called.symptom].label.toLowerCase()}.
          </Box>
        </Flex>
      ) : (
        <Box mb="3">Run the press and watch the piece. Somebody will call.</Box>
      )}
      {lesson.hint &&
        (hinted ? (
          <Box mb="3" fontWeight="650">
            {lesson.hint}
          </Box>
        ) : (
          <Box mb="3">
            <TextButton onClick={() => setHinted(true)}>A hint, for 5 points</TextButton>
          </Box>
        ))}
      {called && (
        <Flex gap="4" wrap="wrap" align="end" mb="3">
          <Box width="18rem">
            <Pick
              label="Look"
              value=""
              options={[
                { id: '', name: 'choose a look' },
                ...keysOf(QUESTIONS).map((q) => ({
                  id: q,
                  name: `${QUESTIONS[q].ask} (${QUESTIONS[q].seconds} s)`,
                })),
              ]}
              onPick={(q) => q && void look(q as QuestionId)}
            />
          </Box>
          <Box width="18rem">
            <Pick
              label="Do"
              value=""
              options={[
                { id: '', name: 'choose what to do' },
                ...keysOf(REMEDIES).map((r) => ({ id: r, name: remedyWords(r, units) })),
              ]}
              onPick={(r) => r && void mend(r as RemedyId)}
            />
          </Box>
        </Flex>
      )}
      <Box as="ol" listStyleType="none" aria-label="Looked at" mb="3">
        {looks.map(({ ask, answer }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the same look may be taken twice
          <Box as="li" key={i} py="1" borderTop="1px solid" borderColor="rule">
            {QUESTIONS[ask].ask} <Box as="strong">{answerWords(answer, units)}</Box>
          </Box>
        ))}
      </Box>
      {called && (
        <Grid
          role="group"
          aria-label="It is"
          templateColumns="repeat(auto-fill, minmax(12rem, 1fr))"
          gap="2"
          mb="3"
        >
          {causes.map((c) => (
            <Tap
              key={c}
              chosen={named.includes(c)}
              onTap={() =>
                setNamed((now) =>
                  now.includes(c) ? now.filter((n) => n !== c) : [...now, c].slice(-lesson.faults.length),
                )
              }
            >
              {CAUSES[c].label}
            </Tap>
          ))}
        </Grid>
      )}
      <Tap tall onTap={finish}>
        Done: score it
      </Tap>
    </Box>
  )
}

function Scored({
  score,
  lesson,
  onLeave,
}: {
  readonly score: Score
  readonly lesson: Lesson
  readonly onLeave: () => void
}) {
  return (
    <Box role="status" aria-label="Score">
      <Flex align="baseline" gap="4" mb="2">
        <Box fontSize="big" fontWeight="750" lineHeight="1.1">
          {score.total}
        </Box>
        <Box fontSize="title" fontWeight="700">
          <SeverityMark severity={score.passed ? 'Note' : 'Watch'} word={false} />{' '}
          {score.passed ? 'Passed' : 'Not yet'}
        </Box>
      </Flex>
      <Box mb="2">It was: {lesson.faults.map((f) => CAUSES[f].label.toLowerCase()).join(' and ')}.</Box>
      <Box as="ul" listStyleType="none" mb="3">
        {score.parts.map((p) => (
          <Flex as="li" key={p.what} gap="4" py="1" borderTop="1px solid" borderColor="rule">
            <Box flex="1">{p.what}</Box>
            <Box className="num">{p.points}</Box>
          </Flex>
        ))}
      </Box>
      <Tap onTap={onLeave}>Back to the lessons</Tap>
    </Box>
  )
}
