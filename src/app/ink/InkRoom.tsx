'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useMemo } from 'react'
import { useFormContext } from 'react-hook-form'
import { q } from '@/core/advice'
import { hexOfLab } from '@/core/color'
import type { ShopAndShelf } from '@/core/equipment'
import { type Batch, type Can, colourOfBatch, INK, inkDemand, type Learnt, learntFrom } from '@/core/ink'
import type { InkNeedLine } from '@/core/plan'
import type { Moment } from '@/core/schedule'
import { AskNumber } from '@/ui/AskNumber'
import { Cautions } from '@/ui/Cautions'
import { Empty, PushLink } from '@/ui/Empty'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { InkName } from '@/ui/parts'
import { Section } from '@/ui/Section'
import { Filling } from '../Filling'
import { Later } from '../Later'
import { useShop } from '../shop/shopContext'
import { Buying } from './Buying'
import { PotLife } from './PotLife'
import { WantedRow } from './WantedRow'

/** What the orders want ink by ink, against what there is; then what stands in tubs. */
export function InkRoom({
  needs,
  cans,
  batches,
  used,
  planning,
  later,
  begins,
  now,
}: {
  readonly planning: number
  readonly later: number
  /** When the days begin each run that has a place. */
  readonly begins: readonly (readonly [runId: string, at: Moment])[]
  readonly now: Moment
  readonly needs: readonly InkNeedLine[]
  /** By run and hit, of batches that were weighed back. */
  readonly used: readonly { readonly runId: string; readonly hitId: string; readonly used: number }[]
  readonly cans: readonly Can[]
  readonly batches: readonly Batch[]
}) {
  const room = useShop().shop.inkRoom
  const { laid } = room
  const learnt = useMemo(() => {
    const needOf = new Map(needs.map((n) => [`${n.runId}.${n.hitId}`, n.mass]))
    return learntFrom(
      used.flatMap((u) => {
        const needed = needOf.get(`${u.runId}.${u.hitId}`)
        return needed === undefined ? [] : [{ needed, used: u.used }]
      }),
      laid,
    )
  }, [needs, used, laid])
  const open = useMemo(() => batches.filter((b) => b.state === 'mixing'), [batches])
  const tubs = useMemo(() => batches.filter((b) => b.state !== 'mixing'), [batches])
  const { inks, buy } = useMemo(
    () => inkDemand(needs, new Map(begins), room, cans, tubs, open),
    [needs, begins, room, cans, tubs, open],
  )
  const short = inks.filter((i) => i.short > 0).length
  return (
    <>
      {open.length > 0 && (
        <Section title={`On the bench: ${open.length}`}>
          {open.map((b) => (
            <Flex key={b.id} align="center" gap="4" py="1">
              <Box fontSize="title" fontWeight="700" width="5.4rem">
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
      <Section
        title={`${inks.length} ${inks.length === 1 ? 'ink' : 'inks'} wanted${short > 0 ? `, ${short} short` : ''}`}
      >
        <Filling planning={planning} />
        {needs.length === 0 && planning === 0 && (
          <Empty says="No open order asks for ink. What there is on the rack can be booked in meanwhile.">
            <PushLink href="/ink/rack">Book in cans</PushLink>
          </Empty>
        )}
        {learnt && Math.abs(learnt.factor - laid) > 0.02 && <Learned {...learnt} />}
        <Box>
          {inks.map((ink) => (
            <WantedRow key={ink.key} ink={ink} cans={cans} now={now} />
          ))}
        </Box>
        <Later orders={later} />
      </Section>
      <Buying buy={buy} now={now} />
      <Section title={`In tubs: ${tubs.length}`}>
        {tubs.length === 0 && (
          <Box color="soft">None. What is left of a mixed ink after a run is kept here and used first.</Box>
        )}
        {tubs.map((b) => (
          <Tub key={b.id} batch={b} />
        ))}
      </Section>
      <Cautions at="ink" />
    </>
  )
}

function Tub({ batch }: { readonly batch: Batch }) {
  const last = batch.drawdowns.at(-1)
  return (
    <Flex
      align="center"
      gap="4"
      py="1"
      borderTop="1px solid"
      borderColor="rule"
      _first={{ borderTop: 'none' }}
      wrap="wrap"
    >
      <Box fontSize="title" fontWeight="700" width="5.4rem">
        {batch.id}
      </Box>
      <Box width="12rem">
        <InkName hex={hexOfLab(colourOfBatch(batch))} name={batch.name} />
      </Box>
      <Box fontSize="title" fontWeight="650" width="5rem">
        <Measure kind="mass" value={batch.mass} />
      </Box>
      <Box flex="1" color="soft">
        {batch.state === 'accepted' && last
          ? `accepted${last.who ? ` by ${last.who}` : ', nobody named'}, ΔE ${last.difference.toFixed(1)}`
          : 'no drawdown accepted yet'}
      </Box>
      <PotLife expires={batch.expires} />
      <Link href={`/ink/bench/${batch.id}`} aria-label={`Open ${batch.id}`} textDecoration="underline">
        Open
      </Link>
    </Flex>
  )
}

/** What weigh-backs say of the computed grams, with one press to plan by it. */
function Learned({ factor, runs }: Learnt) {
  const { setValue } = useFormContext<ShopAndShelf>()
  return (
    <Flex align="baseline" gap="4" py="2" wrap="wrap" role="note" aria-label="Weighed back">
      <Box fontSize="title" fontWeight="650">
        <AskNumber
          label="Ink laid, of what is computed"
          reasons={[INK.because('LEARNT', { factor: q('share', factor), runs: q('count', runs) })]}
        >
          <Measure kind="share" value={factor} />
        </AskNumber>
      </Box>
      <Box>of the ink that is computed was laid in {runs} runs weighed back.</Box>
      <PushButton type="button" px="3" onClick={() => setValue('shop.inkRoom.laid', factor)}>
        Plan with it
      </PushButton>
    </Flex>
  )
}
