'use client'

import { Box, chakra, Grid } from '@chakra-ui/react'
import NextLink from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { q } from '@/core/advice'
import { difference, labOfHex } from '@/core/color'
import { ADDITIVES } from '@/core/equipment'
import {
  additivesFor,
  type Batch,
  type Can,
  colourOfKnown,
  coversAlone,
  doesOf,
  INK,
  withAdditives,
} from '@/core/ink'
import type { InkNeedLine } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { sayDay } from '@/ui/day'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { InkName } from '@/ui/parts'
import { SeverityMark } from '@/ui/Severity'
import { act } from '../acts/act'
import { localNow } from '../screens/clock'
import { useShop } from '../shop/shopContext'
import { colourOf } from './colourOf'

const Link = chakra(NextLink)

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
  const { formulas, rack, limits } = useShop().shop.inkRoom
  const router = useRouter()
  const [problem, setProblem] = useState('')
  const wanted = need.mass
  const target = useMemo(() => labOfHex(need.hex), [need.hex])
  const near = tubs
    .map((tub) => ({ tub, off: difference(colourOf(tub), target) }))
    .filter(({ tub, off }) => tub.drawdowns.length > 0 && tub.system === need.system && off <= limits.accept)
    .sort((a, b) => a.off - b.off)[0]
  // An ink of the rack that is the colour needs no mixing.
  const plain = rack
    .map((ink) => ({ ink, off: difference(colourOfKnown(ink.known), target) }))
    .filter(({ ink, off }) => ink.system === need.system && off <= limits.accept && coversAlone(ink))
    .sort((a, b) => a.off - b.off)[0]?.ink
  const inCans = cans.filter((c) => c.code === plain?.code).reduce((sum, c) => sum + c.mass, 0)
  const own = near === undefined || near.tub.mass < wanted
  const formula = formulas.find(
    (f) => f.name.toLowerCase() === need.name.toLowerCase() && f.system === need.system,
  )
  const ready = formula?.parts.every((p) => rack.some((i) => i.code === p.code)) ?? false
  // An ink that is to rise takes its additive with it.
  const expander = need.expands
    ? additivesFor(need.system, rack).find((i) => doesOf(i) === 'expands')
    : undefined
  const risen = expander && { code: expander.code, share: ADDITIVES.expands.usual }
  const begin = async () => {
    if (!formula) return
    const done = await act('beginBatch', {
      batch: {
        name: need.name,
        system: need.system,
        target: formula.target,
        parts: risen ? withAdditives(formula.parts, [risen]) : formula.parts,
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
      <Box fontSize="1.35rem" fontWeight="650" textAlign="right">
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
        <Box fontSize="0.82rem" color="soft">
          {need.runId}, due {sayDay(need.due)}
        </Box>
      </Box>
      <Box minWidth="0" fontSize="0.92rem">
        {near ? (
          <>
            <b>{near.tub.id}</b> holds <Measure kind="mass" value={near.tub.mass} />, off by{' '}
            {near.off.toFixed(1)}
            {own ? ': not enough' : ': mix nothing'}
          </>
        ) : plain ? (
          <>
            straight from the can: <b>{plain.name}</b> {plain.code}, <Measure kind="mass" value={inCans} />{' '}
            there
            {inCans < wanted && (
              <>
                {' '}
                <SeverityMark severity="Watch" />
              </>
            )}
          </>
        ) : formula ? (
          ready ? (
            [...formula.parts, ...(risen ? [risen] : [])].map((p) => p.code).join(' + ')
          ) : (
            'An ink of its formula is not on the rack.'
          )
        ) : (
          <Box as="span" color="soft">
            no formula yet
          </Box>
        )}
        {problem && (
          <Box role="alert">
            <SeverityMark severity="Stop" /> {problem}
          </Box>
        )}
      </Box>
      {plain ? null : formula && ready ? (
        own && (
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
