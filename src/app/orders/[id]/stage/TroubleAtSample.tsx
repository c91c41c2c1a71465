import { useEffect, useMemo, useState } from 'react'
import { changeFor, showsOn, troubleFacts } from '@/core/plan'
import { type Known, knowing, NOTHING_KNOWN } from '@/core/trouble'
import { useDesk } from '@/ui/desk'
import { Section } from '@/ui/Section'
import { type Done, TroubleCall } from '@/ui/trouble/TroubleCall'
import { useTroubleRun } from '../../../useTroubleRun'
import type { PlanProps } from './planProps'
import { SampleGood } from './SampleGood'

/** What is wrong with the sample, and what to change first; what a setting of the plan does is set in it. */
export function TroubleAtSample({ plan }: PlanProps) {
  const { override, takeBack } = useDesk()
  const [open, setOpen] = useState<Done & { readonly set: string | undefined }>()
  const known = useKnown(plan.press.id)
  const [isTold, setTold] = useState(false)
  const run = useTroubleRun(plan, isTold)
  const facts = useMemo(() => troubleFacts(plan, run?.heat, { pieces: 0 }), [plan, run])
  const screens = plan.hits
    .filter((h) => h.sameScreenAs === '')
    .map((h) => ({ id: h.hit.id, name: h.hit.name }))
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
        screens={screens}
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

/** What the shop and the press have learnt; the tables as they come until that is here. */
function useKnown(press: string) {
  const [known, setKnown] = useState<Known>(NOTHING_KNOWN)
  useEffect(() => {
    const away = new AbortController()
    fetch(`/api/trouble?press=${encodeURIComponent(press)}`, { signal: away.signal })
      .then((answer) => (answer.ok ? answer.json() : NOTHING_KNOWN))
      .then((found: Known) => setKnown(found))
      // Without a line the tables stand as they come.
      .catch(() => {})
    return () => away.abort()
  }, [press])
  return useMemo(() => knowing(known), [known])
}
