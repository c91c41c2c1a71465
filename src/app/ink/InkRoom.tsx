'use client'

import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { format, parseISO } from 'date-fns'
import NextLink from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { because, q } from '@/core/advice'
import { difference, hexOfLab, labOf, labOfHex } from '@/core/color'
import {
  type Batch,
  type Can,
  colourOfKnown,
  correctedNeed,
  coversAlone,
  type Learnt,
  learntFrom,
  MIX_RULES,
} from '@/core/ink'
import type { InkNeedLine } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { InkName } from '@/ui/parts'
import { Section } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { localNow } from '../screens/clock'
import { useShop } from '../shop/shopContext'
import { beginBatch } from './actions'
import { PotLife } from './PotLife'

const Link = chakra(NextLink)

/** What a batch looks like: as last read, else as it was meant. */
const colourOf = (batch: Batch) => {
  const last = batch.drawdowns.at(-1)
  return last ? labOf(last.onWhite) : batch.target
}

/** All ink that the orders want, by due date, with what there is already; then what stands in tubs. */
export function InkRoom({
  needs,
  cans,
  batches,
  used,
}: {
  readonly needs: readonly InkNeedLine[]
  /** By run and hit, of batches that were weighed back. */
  readonly used: readonly { readonly runId: string; readonly hitId: string; readonly used: number }[]
  readonly cans: readonly Can[]
  readonly batches: readonly Batch[]
}) {
  const learnt = useMemo(() => {
    const needOf = new Map(needs.map((n) => [`${n.runId}.${n.hitId}`, n.mass]))
    return learntFrom(
      used.flatMap((u) => {
        const needed = needOf.get(`${u.runId}.${u.hitId}`)
        return needed === undefined ? [] : [{ needed, used: u.used }]
      }),
    )
  }, [needs, used])
  const open = batches.filter((b) => b.state === 'mixing')
  const tubs = batches.filter((b) => b.state !== 'mixing')
  return (
    <>
      {open.length > 0 && (
        <Section title={`On the bench: ${open.length}`}>
          {open.map((b) => (
            <Flex key={b.id} align="center" gap="4" py="1" borderTop="1px solid" borderColor="rule">
              <Box fontSize="1.25rem" fontWeight="700" width="5.4rem">
                {b.id}
              </Box>
              <InkName hex={hexOfLab(b.target)} name={b.name} />
              <Box color="soft">
                <Measure kind="mass" value={b.mass} /> of <Measure kind="mass" value={b.wanted} />
              </Box>
              <Link href={`/ink/bench/${b.id}`} textDecoration="underline" ml="auto" fontWeight="600">
                Go on
              </Link>
            </Flex>
          ))}
        </Section>
      )}
      <Section title={`Wanted by the orders: ${needs.length}`}>
        {needs.length === 0 && <Box fontSize="1.1rem">No order asks for ink.</Box>}
        {needs.map((need) => (
          <NeedRow key={`${need.runId}.${need.hitId}`} need={need} learnt={learnt} cans={cans} tubs={tubs} />
        ))}
      </Section>
      <Section title={`In tubs: ${tubs.length}`}>
        {tubs.length === 0 && <Box color="soft">None yet.</Box>}
        {tubs.map((b) => (
          <Tub key={b.id} batch={b} />
        ))}
      </Section>
    </>
  )
}

function Tub({ batch }: { readonly batch: Batch }) {
  const last = batch.drawdowns.at(-1)
  return (
    <Flex align="center" gap="4" py="1" borderTop="1px solid" borderColor="rule" wrap="wrap">
      <Box fontSize="1.25rem" fontWeight="700" width="5.4rem">
        {batch.id}
      </Box>
      <Box width="12rem">
        <InkName hex={hexOfLab(colourOf(batch))} name={batch.name} />
      </Box>
      <Box fontSize="1.25rem" fontWeight="650" width="5rem">
        <Measure kind="mass" value={batch.mass} />
      </Box>
      <Box flex="1" color="soft">
        {batch.state === 'accepted' && last
          ? `accepted by ${last.who}, off by ${last.difference.toFixed(1)}`
          : 'no drawdown accepted yet'}
      </Box>
      <PotLife expires={batch.expires} />
      <Link href={`/ink/bench/${batch.id}`} textDecoration="underline">
        Open
      </Link>
    </Flex>
  )
}

/** One ink of one run: how much, what there is, and the next step. */
function NeedRow({
  need,
  learnt,
  cans,
  tubs,
}: {
  readonly need: InkNeedLine
  readonly learnt: Learnt | undefined
  readonly cans: readonly Can[]
  readonly tubs: readonly Batch[]
}) {
  const { formulas, rack, limits } = useShop().shop.inkRoom
  const router = useRouter()
  const [problem, setProblem] = useState('')
  const wanted = correctedNeed(need.mass, learnt)
  const target = useMemo(() => labOfHex(need.hex), [need.hex])
  const near = tubs
    .map((tub) => ({ tub, off: difference(colourOf(tub), target) }))
    .filter(({ tub, off }) => tub.system === need.system && off <= limits.accept)
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
  const begin = async () => {
    if (!formula) return
    const done = await beginBatch(
      {
        name: need.name,
        system: need.system,
        target: formula.target,
        parts: formula.parts,
        runId: need.runId,
        hitId: need.hitId,
        wanted,
      },
      localNow(),
    )
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
          reasons={[
            because(MIX_RULES, 'NEED', { mass: q('mass', need.mass), run: need.runId }),
            ...(learnt
              ? [
                  because(MIX_RULES, 'LEARNT', {
                    factor: q('difference', learnt.factor),
                    runs: q('count', learnt.runs),
                  }),
                ]
              : []),
          ]}
        >
          <Measure kind="mass" value={wanted} />
        </AskNumber>
      </Box>
      <Box minWidth="0" lineHeight="1.2">
        <Link href={`/orders/${need.orderId}/ink?run=${need.runId}`} _hover={{ textDecoration: 'underline' }}>
          <Box truncate>{need.words}</Box>
        </Link>
        <Box fontSize="0.82rem" color="soft">
          {need.runId}, due {format(parseISO(need.due), 'EEE d MMM')}
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
            formula.parts.map((p) => p.code).join(' + ')
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
          href={`/ink/formulas?${new URLSearchParams({ name: need.name, hex: need.hex, system: need.system, run: need.runId, hit: need.hitId, mass: String(wanted) })}`}
          textDecoration="underline"
          aria-label={`Find a formula for ${need.name}, ${need.runId}`}
        >
          Find a formula
        </Link>
      )}
    </Grid>
  )
}
