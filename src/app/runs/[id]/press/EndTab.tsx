import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { CraftList } from '@/core/craft'
import type { Batch } from '@/core/ink'
import { writeQuantity } from '@/core/quantity'
import { isUnderWay, type Target } from '@/core/record'
import { localNow } from '@/ui/clock'
import { Link } from '@/ui/elements'
import { QuantityInput } from '@/ui/given'
import { Section } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Tap } from '@/ui/Tap'
import { act } from '../../../acts/act'
import type { AtPress, RunFrame } from './atPress'
import { Lists } from './Lists'
import { nameOf, shortWords } from './SizeCard'

/** A frame that carries a screen of this print. */
interface Props extends AtPress {
  readonly targets: readonly Target[]
  readonly lists: readonly CraftList[]
  readonly tubs: readonly Batch[]
  readonly frames: readonly RunFrame[]
}

/** The end of a run: what there is against what was ordered, ink, screens, clean-down, packing. */
export function EndTab({ targets, lists, tubs, frames, ...press }: Props) {
  const { said, say, plan } = press
  return (
    <>
      <Flex gap="2" mb="4" wrap="wrap">
        {isUnderWay(said) === 'ended' ? (
          <Box fontSize="lead" fontWeight="700" flex="1">
            The run is ended.{' '}
            <Link href={`/runs/${plan.run.id}/record`} textDecoration="underline">
              Plan against actual
            </Link>
          </Box>
        ) : (
          <Tap tall onTap={() => say({ kind: 'stop' })}>
            End the run
          </Tap>
        )}
      </Flex>
      <Section title="To packing">
        {targets.map((target) => (
          <Flex
            key={target.key}
            gap="4"
            align="center"
            py="1"
            borderTop="1px solid"
            borderColor="rule"
            wrap="wrap"
          >
            <Box width="6rem" fontSize="figure" fontWeight="750">
              {nameOf(target)}
            </Box>
            <Box flex="1 1 9rem">
              <b className="num">{target.good}</b> good of {target.ordered}
              {target.left < 0 && `, ${-target.left} too many`}
              {target.short > 0 && <b>, {shortWords(target)}</b>}
            </Box>
            {target.packed < target.good ? (
              <Box flex="none">
                <Tap
                  label={`${nameOf(target)}: ${target.good - target.packed} packed`}
                  onTap={() =>
                    say({
                      kind: 'packed',
                      line: target.line,
                      size: target.size,
                      n: target.good - target.packed,
                    })
                  }
                >
                  {target.good - target.packed} packed
                </Tap>
              </Box>
            ) : (
              <Box flex="none" fontWeight="700">
                {target.packed > 0 ? `${target.packed} packed ✓` : ''}
              </Box>
            )}
          </Flex>
        ))}
      </Section>
      <WeighBack tubs={tubs} {...press} />
      <Screens frames={frames} runId={plan.run.id} />
      <Lists lists={lists} {...press} />
    </>
  )
}

/** What is left in each tub: into the ledger of the ink room, and into the record. */
function WeighBack({ tubs, plan, say }: AtPress & { readonly tubs: readonly Batch[] }) {
  const { units } = useSettings()
  const [left, setLeft] = useState<Readonly<Record<string, number>>>({})
  const [problem, setProblem] = useState('')
  const keep = async (tub: Batch, mass: number) => {
    const used = tub.mass - mass
    const answer = await act('moveInk', {
      batchId: tub.id,
      mass: used > 0 ? -used : -used,
      kind: used > 0 ? 'used' : 'returned',
      note: `weighed back after ${plan.run.id}`,
      at: localNow(),
    })
    if (!answer.ok) return setProblem(answer.message)
    const hit = plan.hits.find((h) => h.hit.name === tub.name)?.hit.id ?? ''
    say({ kind: 'weigh', hit, mass })
    setLeft(({ [tub.id]: _, ...others }) => others)
  }
  return (
    <Section title="Ink weighed back">
      {tubs.length === 0 && <Box color="soft">No tub was mixed for this run.</Box>}
      {tubs.map((tub) => {
        const now = left[tub.id]
        return (
          <Flex key={tub.id} gap="4" align="end" py="1" borderTop="1px solid" borderColor="rule" wrap="wrap">
            <Box flex="1 1 10rem">
              <b>{tub.name}</b> {tub.id}, {writeQuantity('mass', tub.mass, units)} in the ledger
            </Box>
            <Box width="8rem">
              <QuantityInput
                label={`Left of ${tub.name}`}
                kind="mass"
                value={now}
                onGive={(mass) => setLeft((all) => ({ ...all, [tub.id]: mass }))}
                onEmpty={() => setLeft(({ [tub.id]: _, ...others }) => others)}
                check={(mass) => (mass > tub.mass + 0.05 ? 'More than was in it.' : undefined)}
              />
            </Box>
            {now !== undefined && now !== tub.mass && (
              <Box flex="none">
                <Tap label={`Weighed back: ${tub.name}`} onTap={() => void keep(tub, now)}>
                  Weighed back
                </Tap>
              </Box>
            )}
          </Flex>
        )
      })}
      {problem && <Box role="alert">{problem}</Box>}
    </Section>
  )
}

function Screens({ frames, runId }: { readonly frames: readonly RunFrame[]; readonly runId: string }) {
  const [problem, setProblem] = useState('')
  const put = async (frameId: string, keep: boolean) => {
    const answer = await act('putAway', { runId, frameId, keep })
    setProblem(answer.ok ? '' : answer.message)
  }
  return (
    <Section title="Screens">
      {frames.length === 0 && <Box color="soft">No frame carries a screen of this print.</Box>}
      {frames.map((f) => (
        <Flex key={f.id} gap="3" align="center" py="1" borderTop="1px solid" borderColor="rule" wrap="wrap">
          <Box flex="1 1 10rem">
            <b>{f.id}</b> {f.words}
            {!f.mounted && ', in the rack'}
          </Box>
          <Box flex="none">
            <Tap label={`Keep ${f.id} for a reorder`} onTap={() => void put(f.id, true)}>
              Keep
            </Tap>
          </Box>
          <Box flex="none">
            <Tap label={`${f.id} is reclaimed`} onTap={() => void put(f.id, false)}>
              Reclaimed
            </Tap>
          </Box>
        </Flex>
      ))}
      {problem && <Box role="alert">{problem}</Box>}
    </Section>
  )
}
