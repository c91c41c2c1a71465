'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useEffect, useMemo, useRef, useState } from 'react'
import { hexOfLab } from '@/core/color'
import { type Batch, type BenchPart, benchOf, type Can, type PastBatch } from '@/core/ink'
import { systemName } from '@/core/order'
import type { Mass } from '@/core/quantity'
import { localNow } from '@/ui/clock'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { Swatch } from '@/ui/Swatch'
import { act } from '../../../acts/act'
import { useShop } from '../../../shop/shopContext'
import { PotLife } from '../../PotLife'
import { expiryOf } from '../../potLifeOf'
import { Additives } from './Additives'
import { CanCheck } from './CanCheck'
import { useKept } from './kept'
import { OverPour } from './OverPour'
import { PartList } from './PartList'
import { Pouring } from './Pouring'
import { Proof } from './Proof'
import { TubGauge } from './TubGauge'
import { TUB_MASS, useScale } from './useScale'

interface Props {
  readonly batch: Batch
  /** The first batch of that colour that was accepted, if it is another. */
  readonly sample: PastBatch | undefined
  readonly cans: readonly Can[]
}

/** A batch on the bench: one part at a time, the largest first, until it is accepted. */
export function Bench({ batch, sample, cans }: Props) {
  const { rack } = useShop().shop.inkRoom
  const [kept, keep] = useKept(batch.id)
  const on = useScale(batch.id, kept && batch.mass + (kept.pending?.mass ?? 0))
  const bench = useMemo(
    () => benchOf(batch.parts, batch.poured, batch.wanted, new Set(kept?.over)),
    [batch, kept?.over],
  )
  /** What mends a finished batch, still to be poured. */
  const [additions, setAdditions] = useState<readonly { readonly code: string; readonly mass: Mass }[]>([])
  const [canId, setCan] = useState<string>()
  const [from, setFrom] = useState(0)
  const [tares, setTares] = useState(true)
  const [problem, setProblem] = useState('')
  /** A pour is on its way into the book. */
  const [booking, setBooking] = useState(false)
  const next = additions[0]
  const part: BenchPart | undefined = batch.state === 'mixing' ? bench.now : next && additionPart(next, batch)
  const ink = rack.find((i) => i.code === part?.code)
  const can = cans.find((c) => c.id === canId && c.code === part?.code)
  const pending = kept?.pending
  useEffect(() => {
    // A pour that was not booked when the page closed goes on where it was.
    if (!pending || canId !== undefined) return
    setCan(pending.canId)
    setFrom(TUB_MASS + batch.mass)
  }, [pending, canId, batch.mass])
  const booked = useRef(batch.mass)
  useEffect(() => {
    // What is in the tub has changed: the next part begins, with its own can.
    if (booked.current === batch.mass) return
    booked.current = batch.mass
    setCan(undefined)
    setBooking(false)
  }, [batch.mass])
  const settled = on.reading?.kind === 'weight' && on.reading.steady
  const inTub = Math.max(0, on.last - from)
  useEffect(() => {
    if (can && !booking && settled && inTub > 5e-5 && Math.abs(inTub - (pending?.mass ?? 0)) > 5e-5)
      keep({ pending: { canId: can.id, mass: inTub } })
  }, [can, booking, settled, inTub, pending, keep])

  const does = async (ask: () => Promise<{ readonly ok: boolean; readonly message?: string }>) => {
    const done = await ask()
    setProblem(done.ok ? '' : (done.message ?? ''))
    return done.ok
  }
  const confirm = (found: Can) => {
    if (tares && on.scale.tares) on.tare()
    setFrom(tares && on.scale.tares ? 0 : on.last)
    setCan(found.id)
    setProblem('')
  }
  const take = async (mass: Mass) => {
    if (!can || booking) return
    setBooking(true)
    if (await does(() => act('pour', { batchId: batch.id, canId: can.id, mass, at: localNow() }))) {
      keep({ pending: undefined })
      if (next) setAdditions((a) => a.slice(1))
    } else setBooking(false)
  }
  const back = () => does(() => act('undoPour', { batchId: batch.id, at: localNow() }))
  if (!kept) return null
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: '16rem minmax(0, 1fr) 15rem' }} gap="7">
      <TubGauge
        parts={bench.parts}
        rack={rack}
        wanted={batch.wanted}
        next={batch.state === 'mixing' && !bench.over ? part : undefined}
        poured={can ? inTub : 0}
      />
      <Box minWidth="0">
        <Flex align="center" gap="4" mb="4" wrap="wrap">
          <Swatch hex={hexOfLab(batch.target)} size={44} />
          <Box lineHeight="1.15">
            <Box fontSize="figure" fontWeight="700">
              {batch.name}
            </Box>
            <Box color="soft">
              {batch.id}, {systemName(batch.system)}, <Measure kind="mass" value={batch.mass} /> of{' '}
              <Measure kind="mass" value={batch.wanted} /> in the tub
            </Box>
          </Box>
          <Box ml="auto">
            <PotLife expires={batch.expires} />
          </Box>
        </Flex>
        {problem && (
          <Box role="alert" mb="3" fontSize="lead">
            <SeverityMark severity="Stop" /> {problem}
          </Box>
        )}
        {batch.state === 'mixing' && bench.over ? (
          <OverPour
            key={bench.over.code}
            batch={batch}
            over={bench.over}
            rack={rack}
            onRestore={async (wanted, out, keepCode) => {
              const done = await does(() =>
                act('restoreBatch', { batchId: batch.id, wanted, out: out * batch.mass, at: localNow() }),
              )
              if (done && keepCode) keep({ over: [...kept.over, keepCode] })
            }}
          />
        ) : part && ink ? (
          can ? (
            <Pouring
              key={can.id}
              part={part}
              ink={ink}
              can={can}
              batchName={batch.name}
              on={on}
              from={from}
              onTake={take}
              onOtherCan={() => setCan(undefined)}
            />
          ) : (
            <CanCheck key={part.code} ink={ink} rack={rack} cans={cans} onRight={confirm} />
          )
        ) : part ? (
          <Box role="alert" fontSize="lead">
            <SeverityMark severity="Stop" /> {part.code} is not on the rack any more.
          </Box>
        ) : batch.state === 'mixing' ? (
          <Finish
            onDone={() =>
              does(() =>
                act('finishMix', {
                  batchId: batch.id,
                  at: localNow(),
                  expires: expiryOf(batch.system, localNow()),
                }),
              )
            }
          />
        ) : (
          <Proof batch={batch} sample={sample} rack={rack} onMend={setAdditions} onDo={does} />
        )}
      </Box>
      <Box>
        <PartList bench={bench} rack={rack} mixing={batch.state === 'mixing'} />
        <Additives
          batch={batch}
          rack={rack}
          onSet={(code, share) => does(() => act('setAdditive', { batchId: batch.id, code, share }))}
        />
        <Flex direction="column" align="flex-start" gap="2" mt="4" fontSize="small">
          {batch.mass > 0 && batch.state === 'mixing' && (
            <TextButton onClick={back}>Take the last pour back</TextButton>
          )}
          <label>
            <input type="checkbox" checked={!tares} onChange={(e) => setTares(!e.target.checked)} /> This
            scale has no tare
          </label>
        </Flex>
      </Box>
    </Grid>
  )
}

function additionPart(
  { code, mass }: { readonly code: string; readonly mass: Mass },
  batch: Batch,
): BenchPart {
  const have = batch.poured[code] ?? 0
  return { code, share: mass / batch.mass, wanted: have + mass, have, left: mass, state: 'now' }
}

function Finish({ onDone }: { readonly onDone: () => void }) {
  return (
    <Box>
      <Box fontSize="big" fontWeight="750" lineHeight="1.1">
        All parts are in.
      </Box>
      <Box fontSize="lead" my="2">
        Close the lids. Stir until no streak is left, down to the bottom and along the wall.
      </Box>
      <PushButton type="button" autoFocus minHeight="4rem" fontSize="lead" onClick={onDone}>
        It is stirred
      </PushButton>
    </Box>
  )
}
