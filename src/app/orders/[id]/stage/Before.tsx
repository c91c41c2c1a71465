import { Box, Flex } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { type Account, COPY, type Near, type PlanChange } from '@/core/plan'
import { keysOf, writeQuantity } from '@/core/quantity'
import { PAUSED_BY, SPOILED_BY } from '@/core/record'
import { Differences } from '@/ui/Differences'
import { Day } from '@/ui/day'
import { Link } from '@/ui/elements'
import { Section } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../orderContext'
import { FromPress } from './FromPress'

interface Told {
  readonly near: readonly Near<Omit<Account, 'through'>>[]
  readonly found?: { readonly set: number; readonly down: readonly number[] }
  readonly again?: {
    readonly changes: readonly PlanChange[]
    readonly tubs: readonly { readonly id: string; readonly name: string; readonly mass: number }[]
    readonly screens: readonly { readonly id: string; readonly words: string; readonly mounted: boolean }[]
  }
}

/** What the shop did before that is like this run: what it took, what went wrong; of the same design what is left of it. */
export function Before() {
  const { run, plan } = useOrder()
  const [told, setTold] = useState<Told>()
  const runId = run?.id
  const planned = plan !== undefined
  useEffect(() => {
    if (!runId || !planned) return
    const stop = new AbortController()
    const ask = async () => {
      const answer = await fetch(`/api/runs/${encodeURIComponent(runId)}/before`, { signal: stop.signal })
      if (answer.ok) setTold((await answer.json()) as Told)
    }
    ask().catch(() => {})
    return () => stop.abort()
  }, [runId, planned])
  if (!told || !runId) return null
  return (
    <>
      {told.found && <FromPress runId={runId} {...told.found} />}
      {(told.near.length > 0 || told.again) && <Alike told={told} />}
    </>
  )
}

function Alike({ told }: { readonly told: Told }) {
  return (
    <Section title="Before">
      {told.near.map((near) => (
        <OneBefore key={near.run.runId} near={near} />
      ))}
      {told.again && <Again again={told.again} />}
    </Section>
  )
}

function OneBefore({
  near: { run, because, sameDesign, distance },
}: {
  readonly near: Told['near'][number]
}) {
  const { units } = useSettings()
  const worst = <C extends string>(found: Readonly<Partial<Record<C, number>>>) =>
    keysOf(found)
      .filter((c) => (found[c] ?? 0) > 0)
      .sort((a, b) => (found[b] ?? 0) - (found[a] ?? 0))
      .slice(0, 2)
  const spoiled = worst(run.causes).map((c) => `${run.causes[c]} ${SPOILED_BY[c].toLowerCase()}`)
  const stood = worst(run.pauses).map((c) => PAUSED_BY[c].toLowerCase())
  return (
    <Flex gap="5" py="2" borderTop="1px solid" borderColor="rule" wrap="wrap" align="baseline">
      <Box flex="1 1 16rem">
        <Link href={`/runs/${run.runId}/record`} fontWeight="700" textDecoration="underline">
          {run.words}
        </Link>
        <Box color="soft">
          <Day at={run.on} as="d MMM" />, {run.press}.{' '}
          {sameDesign ? 'The same design. ' : `${distance < COPY ? 'Near' : 'Alike'}. `}
          {because.length > 0 ? `Differs by ${because.join(', ')}.` : 'Nothing differs.'}
        </Box>
      </Box>
      <Box flex="0 1 22rem">
        {run.pace && (
          <>
            <b className="num">{writeQuantity('rate', run.pace.was, units)}</b>, planned{' '}
            {writeQuantity('rate', run.pace.planned, units)}.{' '}
          </>
        )}
        {run.setup && <>Set-up {writeQuantity('workTime', run.setup.was, units)}. </>}
        {run.spoiled > 0 && `Spoiled ${run.spoiled}: ${spoiled.join(', ')}. `}
        {stood.length > 0 && `Stood: ${stood.join(', ')}.`}
      </Box>
    </Flex>
  )
}

function Again({ again: { changes, tubs, screens } }: { readonly again: NonNullable<Told['again']> }) {
  const { units } = useSettings()
  return (
    <Box borderTop="1px solid" borderColor="rule" py="2">
      <Box>
        {screens.length > 0
          ? `Screens that are there: ${screens.map((s) => `${s.id} ${s.mounted ? 'on the press' : 'in the rack'}`).join(', ')}.`
          : 'No screen of it is left.'}{' '}
        {tubs.length > 0
          ? `Ink left: ${tubs.map((t) => `${t.name} ${t.id} ${writeQuantity('mass', t.mass, units)}`).join(', ')}.`
          : 'No tub of it is left.'}
      </Box>
      {changes.length > 0 ? (
        <>
          <Box fontWeight="650" mt="2">
            The plan differs from what was printed then
          </Box>
          <Differences changes={changes} />
        </>
      ) : (
        <Box>The plan is as it was printed then.</Box>
      )}
    </Box>
  )
}
