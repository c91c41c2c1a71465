import { useMemo } from 'react'
import { changeFor, ownScreens, pressNow, showsOn, troubleFacts, withPressValues } from '@/core/plan'
import { pressValues, saidOf } from '@/core/record'
import { type Known, knowing, openTry, triedCall } from '@/core/trouble'
import { type Done, TroubleCall } from '@/ui/trouble/TroubleCall'
import { useTroubleRun } from '../../../useTroubleRun'
import type { AtPress } from './atPress'

/** What is wrong, and what to change first: what is done is a press value of its own, and what came of it is kept. */
export function TroubleTab({ known, ...press }: AtPress & { readonly known: Known }) {
  const { said, say } = press
  const values = pressValues(said)
  const asSet = JSON.stringify(values)
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is another plan only where something is set otherwise
  const plan = useMemo(() => withPressValues(press.plan, values), [press.plan, asSet])
  const knowledge = useMemo(() => knowing(known), [known])
  const run = useTroubleRun(plan)
  const facts = useMemo(
    () => troubleFacts(plan, run?.heat, pressNow(plan, said, Date.now() / 1000)),
    [plan, run, said],
  )
  const tried = openTry(said)
  const onDo = ({ call, hit, remedy, believed }: Done) => {
    const change = changeFor(plan, remedy, hit)
    if (change) say({ kind: 'set', setting: change.key, value: change.value, why: 'trouble' })
    const { symptom, also, notThere, answers } = call
    say({
      kind: 'tried',
      press: plan.press.id,
      ...{ hit, symptom, also, notThere, answers, remedy, believed },
    })
  }
  const onTakeBack = () => {
    if (!tried) return
    say({ kind: 'undo', of: tried.id })
    const at = said.findIndex((e) => e.id === tried.id)
    const set = said[at - 1]
    if (set?.kind === 'set' && set.why === 'trouble') say({ kind: 'undo', of: set.id })
  }
  return (
    <TroubleCall
      callKey={`trouble ${plan.run.id}`}
      facts={facts}
      known={knowledge}
      screens={ownScreens(plan.hits)}
      showsOn={(symptom) => showsOn(plan, symptom, run?.heat)}
      sides={run?.sides}
      held={sinceGood(said)}
      open={triedCall(tried)}
      onDo={onDo}
      onCame={(how) => tried && say({ kind: 'came', of: tried.id, how })}
      onTakeBack={onTakeBack}
    />
  )
}

/** Pieces cured since the dryer was read, or a garment approved; none while nothing was counted. */
function sinceGood(said: AtPress['said']): number | undefined {
  const good = said.findLastIndex(
    (e) => (e.kind === 'read' && e.what === 'belt') || (e.kind === 'sample' && e.verdict === 'approved'),
  )
  const counts = saidOf(said.slice(good + 1), 'count')
  return counts.length === 0 ? undefined : counts.reduce((sum, e) => sum + e.n, 0)
}
