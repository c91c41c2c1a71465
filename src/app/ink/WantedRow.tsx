'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { q } from '@/core/advice'
import { type Can, INK, type InkDemand, missingFor, type ServedNeed } from '@/core/ink'
import type { InkNeedLine } from '@/core/plan'
import type { Moment } from '@/core/schedule'
import { AskNumber } from '@/ui/AskNumber'
import { localNow } from '@/ui/clock'
import { Day, useSayDay } from '@/ui/day'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { InkName } from '@/ui/parts'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { act } from '../acts/act'
import { clockWords } from '../days/said'
import { NotBooked } from './NotBooked'

/** One ink: what all runs want of it against what is there, the next step, and its runs when it is opened. */
export function WantedRow({
  ink,
  cans,
  now,
}: {
  readonly ink: InkDemand<InkNeedLine>
  readonly cans: readonly Can[]
  readonly now: Moment
}) {
  const sayDay = useSayDay()
  const router = useRouter()
  const [open, setOpen] = useState(false)
  const [problem, setProblem] = useState('')
  const { needs, mix, short } = ink
  const first = (needs.find((n) => n.kept < n.need.mass) ?? needs[0])?.need
  if (!first) return null
  const due = needs.map((n) => n.need.due).sort()[0] ?? ''
  const missing = mix?.ready && short > 0 ? missingFor(mix.parts, short, cans) : []
  const begin = async () => {
    if (!mix) return
    const done = await act('beginBatch', {
      batch: {
        name: first.name,
        system: first.system,
        target: mix.formula.target,
        parts: mix.parts,
        runId: first.runId,
        hitId: first.hitId,
        wanted: short,
      },
      at: localNow(),
    })
    if (done.ok) router.push(`/ink/bench/${done.id}`)
    else setProblem(done.message)
  }
  return (
    <Box borderTop="1px solid" borderColor="rule" _first={{ borderTop: 'none' }} data-ink={first.name}>
      <Grid
        templateColumns={{
          base: 'minmax(0, 1fr) 5.5rem',
          lg: '12rem 6rem minmax(0, 1fr) 9rem 10.5rem 8.6rem',
        }}
        columnGap="4"
        rowGap="1"
        alignItems="center"
        py="1"
        minHeight="2.9rem"
      >
        <InkName hex={first.hex} name={first.name} />
        <Box fontSize="title" fontWeight="650" textAlign="right">
          <AskNumber
            label={`Ink, ${first.name}`}
            reasons={needs.map(({ need }) =>
              INK.because('NEED', { mass: q('mass', need.mass), run: need.runId }),
            )}
          >
            <Measure kind="mass" value={ink.wanted} />
          </AskNumber>
        </Box>
        <Box minWidth="0" fontSize="small">
          <Sources needs={needs} mixParts={mix?.ready ? mix.parts.map((p) => p.code) : undefined} />
          {ink.coming > 0 && (
            <Box>
              on the bench: <Measure kind="mass" value={ink.coming} />
            </Box>
          )}
          {missing.length > 0 && <NotBooked missing={missing} />}
          {problem && (
            <Box role="alert">
              <SeverityMark severity="Stop" /> {problem}
            </Box>
          )}
        </Box>
        <Box textAlign="right" lineHeight="1.2">
          {short > 0 ? (
            <>
              <Box fontSize="small" color="soft">
                short{ink.by !== undefined && `, by ${clockWords(ink.by, now)}`}
              </Box>
              <Box fontSize="lead" fontWeight="700">
                <Measure kind="mass" value={short} />
              </Box>
            </>
          ) : (
            <Box color="soft">{ink.coming > 0 ? 'on its way' : 'enough'}</Box>
          )}
        </Box>
        <TextButton
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          textAlign="left"
          aria-label={`Runs that want ${first.name}: ${needs.length}, first due ${sayDay(due)}`}
        >
          {needs.length} {needs.length === 1 ? 'run' : 'runs'}, <Day at={due} />
        </TextButton>
        {short === 0 ? (
          <Box />
        ) : mix?.ready ? (
          <PushButton
            type="button"
            px="3"
            onClick={begin}
            aria-label={`Mix ${first.name}`}
            className="no-print"
          >
            Mix it
          </PushButton>
        ) : (
          <Link
            href={`/ink/formulas?${new URLSearchParams({ name: first.name, hex: first.hex, system: first.system, run: first.runId, hit: first.hitId, mass: String(short), cloth: first.cloth.name, on: first.cloth.hex })}`}
            textDecoration="underline"
            aria-label={`Find a formula for ${first.name}`}
            className="no-print"
          >
            Find a formula
          </Link>
        )}
      </Grid>
      {open && (
        <Box as="ul" listStyleType="none" pb="2" pl="6" fontSize="small">
          {needs.map(({ need, kept }) => (
            <Flex
              as="li"
              key={`${need.runId}.${need.hitId}`}
              gap="4"
              py="0.5"
              data-need={`${need.runId}.${need.hitId}`}
            >
              <Box width="5rem" textAlign="right" fontWeight="650">
                <Measure kind="mass" value={need.mass} />
              </Box>
              <Link
                href={`/orders/${need.orderId}/ink?run=${need.runId}`}
                _hover={{ textDecoration: 'underline' }}
                flex="1"
                minWidth="0"
              >
                {need.words}, {need.runId}, due <Day at={need.due} />
              </Link>
              {kept < need.mass && (
                <Box color="soft">
                  {kept > 0 ? (
                    <>
                      <Measure kind="mass" value={need.mass - kept} /> short
                    </>
                  ) : (
                    'none yet'
                  )}
                </Box>
              )}
            </Flex>
          ))}
        </Box>
      )}
    </Box>
  )
}

interface SourcesProps {
  readonly needs: readonly ServedNeed<InkNeedLine>[]
  /** Codes of its formula, where all are on the rack. */
  readonly mixParts: readonly string[] | undefined
}

/** Where it comes from, each tub or can once. */
function Sources({ needs, mixParts }: SourcesProps) {
  const { tubs, cans } = sourcesOf(needs)
  if (tubs.size === 0 && cans.size === 0)
    return mixParts ? (
      <>mix {mixParts.join(' + ')}</>
    ) : (
      <Box as="span" color="soft">
        no formula yet
      </Box>
    )
  return (
    <>
      {[...tubs].map(([id, { kept, off }]) => (
        <Box key={id}>
          tub <b>{id}</b>: <Measure kind="mass" value={kept} />, ΔE {off.toFixed(1)}
        </Box>
      ))}
      {[...cans].map(([code, { kept, name }]) => (
        <Box key={code}>
          from the can: <b>{name}</b> {code}, <Measure kind="mass" value={kept} />
        </Box>
      ))}
    </>
  )
}

function sourcesOf(needs: SourcesProps['needs']) {
  const tubs = new Map<string, { readonly kept: number; readonly off: number }>()
  const cans = new Map<string, { readonly kept: number; readonly name: string }>()
  for (const { serving, kept } of needs) {
    if (serving.from === 'tub')
      tubs.set(serving.tub.id, { off: serving.off, kept: (tubs.get(serving.tub.id)?.kept ?? 0) + kept })
    if (serving.from === 'can')
      cans.set(serving.ink.code, {
        name: serving.ink.name,
        kept: (cans.get(serving.ink.code)?.kept ?? 0) + kept,
      })
  }
  return { tubs, cans }
}
