'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import same from 'fast-deep-equal'
import { useEffect, useState } from 'react'
import type { RunPlan } from '@/core/plan'
import { keysOf } from '@/core/quantity'
import { ENLARGED, type TrialPlan } from '@/core/rehearsal'
import { SYMPTOMS } from '@/core/trouble'
import { Link, PageTitle } from '@/ui/elements'
import { SeverityMark } from '@/ui/Severity'
import { Tap } from '@/ui/Tap'
import { AskFrame } from '../../../AskFrame'
import { planner } from '../../../planner'
import { LearnIt } from './LearnIt'
import { PieceDrawing } from './PieceDrawing'
import { RunControls } from './RunControls'
import { RunningStrip } from './RunningStrip'
import { SeenStrip } from './SeenStrip'
import { TryIt } from './TryIt'
import { useRehearsal } from './useRehearsal'
import { WatchIt } from './WatchIt'

interface Props {
  readonly plan: RunPlan
  readonly order: { readonly id: string; readonly customer: string }
  readonly shopName: string
  readonly isDraft: boolean
}

const MODES = { watch: 'Watch it', try: 'Try it', learn: 'Learn it' } as const
type Mode = keyof typeof MODES

/** A run on a simulated press: what this plan will do, what a change would do, and a fault to find. */
export function RehearsalDesk({ plan, order, shopName, isDraft }: Props) {
  const trial = useTrial(plan)
  return (
    <AskFrame shopName={shopName} bare>
      <Flex gap="4" align="baseline" wrap="wrap" mb="2">
        <PageTitle>Rehearsal</PageTitle>
        <Box>
          {order.customer}, {plan.run.id}, {plan.press.name}
          {isDraft && ', draft'}
        </Box>
        <Flex gap="4" ml="auto">
          <Link href={`/runs/${plan.run.id}/sheet`} textDecoration="underline">
            Set-up sheet
          </Link>
          <Link href={`/orders/${order.id}/sequence`} textDecoration="underline">
            Sequence
          </Link>
        </Flex>
      </Flex>
      <Box bg="raised" p="2" mb="3">
        <SeverityMark severity="Note" word={false} /> A rehearsal: nothing is printed, nothing goes into the
        record. Stroke, tack and ink follow assumed constants, never measured at a press.
      </Box>
      {trial === 'coming' ? (
        <Box role="status">The press is set up.</Box>
      ) : trial ? (
        <Simulated plan={plan} trial={trial} order={order.id} />
      ) : (
        <Box>No order of printing fits this press yet: there is nothing to rehearse.</Box>
      )}
    </AskFrame>
  )
}

/** What the simulated press needs of the plan: heat along the run is worked out for it, beside the page. */
function useTrial(plan: RunPlan): TrialPlan | 'coming' | undefined {
  const [trial, setTrial] = useState<TrialPlan | 'coming' | undefined>('coming')
  useEffect(() => {
    let current = true
    void planner()
      .trialOf(plan)
      .then((found) => {
        // Read again and nothing else: what is rehearsed goes on.
        if (current) setTrial((now) => (same(now, found) ? now : found))
      })
    return () => {
      current = false
    }
  }, [plan])
  return trial
}

function Simulated({
  plan,
  trial,
  order,
}: {
  readonly plan: RunPlan
  readonly trial: TrialPlan
  readonly order: string
}) {
  const [mode, setMode] = useState<Mode>('watch')
  const run = useRehearsal(trial, { order, print: plan.run.placement.id })
  const [planned, setPlanned] = useState(trial.pieces)
  // The address says which part is shown, so that a link leads there.
  useEffect(() => {
    const named = location.hash.slice(1)
    if (Object.hasOwn(MODES, named)) setMode(named as Mode)
  }, [])
  const go = (next: Mode) => {
    run.pause()
    setMode(next)
    history.replaceState(history.state, '', `#${next}`)
  }
  const seen = (run.progress?.now ?? []).filter((n) => n.v >= 1 && SYMPTOMS[n.symptom].seen !== 'later')
  const says =
    (run.progress?.pieces ?? 0) === 0
      ? 'Nothing is printed yet.'
      : `Piece ${run.progress?.pieces}: ${
          seen.length === 0
            ? 'nothing that a careful eye sees'
            : seen
                .slice(0, 3)
                .map((s) => SYMPTOMS[s.symptom].label.toLowerCase())
                .join('; ')
        }.`
  return (
    <>
      <Grid role="group" aria-label="How to rehearse" templateColumns="repeat(3, 1fr)" gap="2" mb="3">
        {keysOf(MODES).map((m) => (
          <Tap key={m} chosen={m === mode} onTap={() => go(m)}>
            {MODES[m]}
          </Tap>
        ))}
      </Grid>
      <Grid
        templateColumns={{
          base: 'minmax(0, 1fr)',
          md: 'minmax(0, 22rem) minmax(0, 1fr)',
          lg: 'minmax(0, 30rem) minmax(0, 1fr)',
        }}
        gap="5"
      >
        <Box>
          <PieceDrawing drawing={run.drawing} says={says} />
          <Box role="status" aria-label="The piece" fontWeight="650" pt="2">
            {says}
          </Box>
          <Box fontSize="small" color="soft">
            Register is drawn {ENLARGED} times as large as it is. Boards{' '}
            {Math.round(run.progress?.boardC ?? trial.air)} °C.
          </Box>
        </Box>
        <Box>
          <RunningStrip plan={plan} trial={trial} pieces={run.progress?.pieces ?? 0} />
          {mode !== 'learn' && <RunControls run={run} planned={planned} />}
          {mode !== 'learn' && <SeenStrip progress={run.progress} planned={planned} />}
          {mode === 'watch' && <WatchIt run={run} trial={trial} />}
          {mode === 'try' && <TryIt run={run} trial={trial} />}
          {mode === 'learn' && <LearnIt run={run} plan={plan} trial={trial} onPlanned={setPlanned} />}
        </Box>
      </Grid>
    </>
  )
}
