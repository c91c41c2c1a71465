import { Box } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import type { Called, TrialPlan } from '@/core/rehearsal'
import { CAUSES, callOf, consult, knowing, type RunFacts, SYMPTOMS } from '@/core/trouble'
import { Section } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { SymptomDrawing } from '@/ui/trouble/SymptomDrawing'
import { remedyWords } from '@/ui/trouble/words'
import type { Rehearsing } from './useRehearsal'

/** More pieces say nothing that these do not. */
const MOST = 1000
const SEED = 1
const AT_ONCE = 50

/** What this plan will do over the run: its weak places, before a garment is spoiled. */
export function WatchIt({ run, trial }: { readonly run: Rehearsing; readonly trial: TrialPlan }) {
  const [weak, setWeak] = useState<readonly Called[]>([])
  const [facts, setFacts] = useState<RunFacts>()
  const [isDone, setDone] = useState(false)
  const { units } = useSettings()
  const { begin, step, remote } = run
  useEffect(() => {
    let current = true
    void (async () => {
      await begin([], SEED, MOST)
      setDone(false)
      const found: Called[] = []
      for (let n = 0; current && n < Math.min(MOST, trial.pieces); n += AT_ONCE) {
        const next = await step(AT_ONCE)
        for (const c of next?.called ?? []) if (!found.some((f) => f.symptom === c.symptom)) found.push(c)
        setWeak([...found])
      }
      if (!current) return
      setFacts(await remote().facts())
      setDone(true)
    })()
    return () => {
      current = false
    }
  }, [begin, step, remote, trial.pieces])
  const known = knowing()
  return (
    <Section
      title={
        isDone
          ? `${weak.length === 0 ? 'No' : weak.length} weak ${weak.length === 1 ? 'place' : 'places'} in this plan`
          : 'Looking for weak places'
      }
    >
      {isDone && weak.length === 0 && (
        <Box>
          On a press that does what is planned, give or take what presses do, nothing shows over the run.
        </Box>
      )}
      <Box as="ol" listStyleType="none" aria-label="Weak places">
        {weak.map((c) => {
          const told = facts && consult(known, facts, callOf(c.symptom))
          const cause = told?.lines[0]?.causes[0]
          const remedy = told?.lines[0]?.remedy
          return (
            <Box
              as="li"
              key={c.symptom}
              display="flex"
              gap="3"
              py="2"
              borderTop="1px solid"
              borderColor="rule"
            >
              <SymptomDrawing symptom={c.symptom} />
              <Box>
                <Box fontWeight="700">
                  <SeverityMark severity="Watch" word={false} /> {SYMPTOMS[c.symptom].label}
                </Box>
                <Box>
                  {SYMPTOMS[c.symptom].seen === 'later' ? 'Shows later' : `From piece ${c.piece} on`}
                  {trial.screens[c.at] && `, at ${trial.screens[c.at]?.name}`}.
                  {cause && ` Perhaps: ${CAUSES[cause].label.toLowerCase()}.`}
                  {remedy && ` First: ${remedyWords(remedy, units).toLowerCase()}.`}
                </Box>
              </Box>
            </Box>
          )
        })}
      </Box>
    </Section>
  )
}
