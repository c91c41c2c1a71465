'use client'

import { Box, Grid } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { q } from '@/core/advice'
import { type Batch, type Can, INK, mixPlanFor, servingFor } from '@/core/ink'
import type { InkNeedLine } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { localNow } from '@/ui/clock'
import { sayDay } from '@/ui/day'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { InkName } from '@/ui/parts'
import { SeverityMark } from '@/ui/Severity'
import { act } from '../acts/act'
import { useShop } from '../shop/shopContext'

/** One ink of one run: how much, what there is, and the next step. */
export function NeedRow({
  need,
  cans,
  tubs,
}: {
  readonly need: InkNeedLine
  readonly cans: readonly Can[]
  readonly tubs: readonly Batch[]
}) {
  const room = useShop().shop.inkRoom
  const router = useRouter()
  const [problem, setProblem] = useState('')
  const wanted = need.mass
  const serving = useMemo(() => servingFor(need, room, cans, tubs), [need, room, cans, tubs])
  const mix = useMemo(() => mixPlanFor(need, room), [need, room])
  const begin = async () => {
    if (!mix) return
    const done = await act('beginBatch', {
      batch: {
        name: need.name,
        system: need.system,
        target: mix.formula.target,
        parts: mix.parts,
        runId: need.runId,
        hitId: need.hitId,
        wanted,
      },
      at: localNow(),
    })
    if (done.ok) router.push(`/ink/bench/${done.id}`)
    else setProblem(done.message)
  }
  return (
    <Grid
      templateColumns={{
        base: 'minmax(0, 1fr) 5rem',
        lg: '11rem 5.4rem minmax(0, 1fr) minmax(0, 1fr) 8.6rem',
      }}
      gap="3"
      alignItems="center"
      borderTop="1px solid"
      borderColor="rule"
      py="1"
      data-need={`${need.runId}.${need.hitId}`}
    >
      <InkName hex={need.hex} name={need.name} />
      <Box fontSize="title" fontWeight="650" textAlign="right">
        <AskNumber
          label={`Ink, ${need.name}`}
          reasons={[INK.because('NEED', { mass: q('mass', need.mass), run: need.runId })]}
        >
          <Measure kind="mass" value={wanted} />
        </AskNumber>
      </Box>
      <Box minWidth="0" lineHeight="1.2">
        <Link href={`/orders/${need.orderId}/ink?run=${need.runId}`} _hover={{ textDecoration: 'underline' }}>
          <Box truncate>{need.words}</Box>
        </Link>
        <Box fontSize="small" color="soft">
          {need.runId}, due {sayDay(need.due)}
        </Box>
      </Box>
      <Box minWidth="0" fontSize="small">
        {serving.from === 'tub' ? (
          <>
            <b>{serving.tub.id}</b> holds <Measure kind="mass" value={serving.tub.mass} />, off by{' '}
            {serving.off.toFixed(1)}
            {serving.enough ? ': mix nothing' : ': not enough'}
          </>
        ) : serving.from === 'can' ? (
          <>
            straight from the can: <b>{serving.ink.name}</b> {serving.ink.code},{' '}
            <Measure kind="mass" value={serving.mass} /> there{' '}
            {!serving.enough && <SeverityMark severity="Watch" />}
          </>
        ) : !mix ? (
          <Box as="span" color="soft">
            no formula yet
          </Box>
        ) : mix.ready ? (
          mix.parts.map((p) => p.code).join(' + ')
        ) : (
          'An ink of its formula is not on the rack.'
        )}
        {problem && (
          <Box role="alert">
            <SeverityMark severity="Stop" /> {problem}
          </Box>
        )}
      </Box>
      {serving.from === 'can' ? null : mix?.ready ? (
        !(serving.from === 'tub' && serving.enough) && (
          <PushButton type="button" px="3" onClick={begin} aria-label={`Mix ${need.name} for ${need.runId}`}>
            Mix it
          </PushButton>
        )
      ) : (
        <Link
          href={`/ink/formulas?${new URLSearchParams({ name: need.name, hex: need.hex, system: need.system, run: need.runId, hit: need.hitId, mass: String(wanted), cloth: need.cloth.name, on: need.cloth.hex })}`}
          textDecoration="underline"
          aria-label={`Find a formula for ${need.name}, ${need.runId}`}
        >
          Find a formula
        </Link>
      )}
    </Grid>
  )
}
