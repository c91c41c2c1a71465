import { useMemo, useState } from 'react'
import { changeFor, ownScreens, showsOn, troubleFacts } from '@/core/plan'
import { knowing } from '@/core/trouble'
import { useDesk } from '@/ui/desk'
import { Section } from '@/ui/Section'
import { type Done, TroubleCall } from '@/ui/trouble/TroubleCall'
import { useKnown } from '../../../useKnown'
import { useTroubleRun } from '../../../useTroubleRun'
import type { PlanProps } from './planProps'
import { SampleGood } from './SampleGood'

/** What is wrong with the sample, and what to change first; what a setting of the plan does is set in it. */
export function TroubleAtSample({ plan }: PlanProps) {
  const { override, takeBack } = useDesk()
  const [open, setOpen] = useState<Done & { readonly set: string | undefined }>()
  const learnt = useKnown(plan.press.id)
  const known = useMemo(() => knowing(learnt), [learnt])
  const [isTold, setTold] = useState(false)
  const run = useTroubleRun(plan, isTold)
  const facts = useMemo(() => troubleFacts(plan, run?.heat, { pieces: 0 }), [plan, run])
  const onDo = (done: Done) => {
    const change = changeFor(plan, done.remedy, done.hit)
    if (change) override(change.key, change.value)
    setOpen({ ...done, set: change?.key })
  }
  return (
    <Section id="trouble" title="Trouble at the sample" side={<SampleGood plan={plan} />}>
      <TroubleCall
        callKey={`sample ${plan.run.id}`}
        facts={facts}
        known={known}
        screens={ownScreens(plan.hits)}
        showsOn={(symptom) => showsOn(plan, symptom, run?.heat)}
        sides={run?.sides}
        open={open}
        onTold={setTold}
        onDo={onDo}
        onCame={() => setOpen(undefined)}
        onTakeBack={() => {
          if (open?.set) takeBack(open.set)
          setOpen(undefined)
        }}
      />
    </Section>
  )
}
