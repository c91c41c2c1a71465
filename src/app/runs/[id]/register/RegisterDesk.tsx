'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import type { OwnStep } from '@/core/equipment'
import {
  centreOf,
  driftOf,
  type HeadLock,
  type HeadTurn,
  knobsOf,
  type LookHere,
  registerOrder,
  USUAL_CENTRE,
} from '@/core/registration'
import type { SheetFacts } from '@/formats/sheet'
import { Cautions } from '@/ui/Cautions'
import { Link, PageTitle } from '@/ui/elements'
import { Pick } from '@/ui/given'
import { AskFrame } from '../../../AskFrame'
import type { Told } from '../press/useRecord'
import { BoardUnder } from './BoardUnder'
import { InTurn } from './InTurn'
import { OneScreen, type Stand } from './OneScreen'
import { SetupList } from './SetupList'

interface Props {
  readonly facts: SheetFacts
  /** What is noted of the heads of this press, oldest first. */
  readonly locks: readonly HeadLock[]
  /** What turns of the knobs of heads of this press did, oldest first. */
  readonly turns: readonly HeadTurn[]
  /** Where a miss shows first, by screen. */
  readonly looks: Readonly<Record<string, readonly LookHere[]>>
  /** What was said of this run at the press. */
  readonly told: Told
  /** What the shop does otherwise in the list of a head. */
  readonly own: readonly OwnStep[]
  /** The screen to begin with. */
  readonly first: string | undefined
}

/** At the press: what the marks of a screen show, and what to turn. */
export function RegisterDesk({
  facts: { order, plan, shopName },
  locks,
  turns,
  looks,
  told,
  own,
  first,
}: Props) {
  const screens = plan.hits.filter((h) => !h.sameScreenAs)
  const [hitId, setHit] = useState((screens.find((s) => s.hit.id === first) ?? screens[0])?.hit.id ?? '')
  const [stand, setStand] = useState<Stand>({ by: 'paper', set: 'four', unit: 'fine', collar: 'away' })
  const inTurn = registerOrder(
    screens.map(({ hit }) => ({ id: hit.id, name: hit.name, isBase: hit.role === 'base' })),
    plan.run.placement.relations,
  )
  const nameOf = (id: string) => screens.find((s) => s.hit.id === id)?.hit.name ?? ''
  const on = inTurn.find((r) => r.id === hitId)?.on
  const hit = screens.find((h) => h.hit.id === hitId) ?? screens[0]
  const headNumber = hit?.head
  const knobs = useMemo(() => knobsOf(turns.filter((t) => t.head === headNumber)), [turns, headNumber])
  return (
    <AskFrame shopName={shopName}>
      <Flex gap="4" align="baseline" wrap="wrap" mb="3">
        <PageTitle>Register</PageTitle>
        <Box>
          {order.customer}, {plan.run.id}, {plan.press.name}
        </Box>
        <Link href={`/orders/${order.id}/sequence?run=${plan.run.id}`} textDecoration="underline" ml="auto">
          Back to the order
        </Link>
      </Flex>
      {hit ? (
        <>
          <Box maxWidth="22rem" mb="4">
            <Pick
              label="Screen"
              value={hit.hit.id}
              options={screens.map((s) => ({
                id: s.hit.id,
                name: s.head === undefined ? s.hit.name : `${s.hit.name}, head ${s.head}`,
              }))}
              onPick={setHit}
            />
          </Box>
          <OneScreen
            key={hit.hit.id}
            id={`${plan.run.id} ${hit.hit.id}`}
            name={hit.hit.name}
            target={on === undefined ? 'that of its film' : `that of the printed ${nameOf(on)}`}
            art={plan.run.placement}
            allows={plan.run.placement.choke}
            pressId={plan.press.id}
            head={hit.head}
            look={looks[hit.hit.id] ?? []}
            stand={stand}
            onStand={setStand}
            drift={driftOf(locks.filter((l) => l.head === hit.head))}
            knobs={knobs}
            centre={plan.position ? centreOf(plan.position, stand.collar === 'towards') : USUAL_CENTRE}
          />
          {plan.position && (
            <BoardUnder position={plan.position} collarTowards={stand.collar === 'towards'} />
          )}
          <InTurn inTurn={inTurn} nameOf={nameOf} chosen={hit.hit.id} onChoose={setHit} />
          <SetupList plan={plan} hitId={hit.hit.id} told={told} own={own} screens={screens.length} />
        </>
      ) : (
        <Box>This run has no screens yet.</Box>
      )}
      <Cautions at={plan.press.kind === 'automatic' ? 'automatic' : 'byHand'} />
    </AskFrame>
  )
}
