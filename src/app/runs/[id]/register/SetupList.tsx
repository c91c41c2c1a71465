import { Box } from '@chakra-ui/react'
import { useMemo } from 'react'
import { numberOf } from '@/core/advice'
import type { OwnStep } from '@/core/equipment'
import { craftListsOf, type RunPlan, recordNames } from '@/core/plan'
import { saidOf } from '@/core/record'
import { setupSaid, setupTimes } from '@/core/registration'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Section } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { StepRow } from '../press/StepRow'
import { type Told, useRecord } from '../press/useRecord'

interface Props {
  readonly plan: RunPlan
  readonly hitId: string
  readonly told: Told
  readonly own: readonly OwnStep[]
  readonly screens: number
}

/** The set-up of a head in its order: what good looks like, ticked as it is done, with the time it took. */
export function SetupList({ plan, hitId, told, own, screens }: Props) {
  const { units } = useSettings()
  const { recorded, problem, say } = useRecord(plan.run.id, told)
  const names = useMemo(() => recordNames(plan, units, own), [plan, units, own])
  const list = useMemo(
    () => craftListsOf(plan, own).find((l) => l.id === 'head' && l.subject.hit === hitId),
    [plan, own, hitId],
  )
  const ticks = saidOf(recorded.said, 'tick').filter((t) => t.hit === hitId && t.step.startsWith('head.'))
  const { total, since } = setupTimes(ticks)
  const planned = plan.time && numberOf(plan.time.setup) / Math.max(1, screens)
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
      {list?.steps.map((step) => (
        <StepRow
          key={step.key}
          step={step}
          hit={hitId}
          tick={ticks.findLast((t) => t.step === step.key)}
          took={since[step.key]}
          {...{ plan, recorded, said: recorded.said, names }}
          say={(said) => void say(said)}
        />
      ))}
      {problem && <Box role="alert">{problem}</Box>}
    </Section>
  )
}
