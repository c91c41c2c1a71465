'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import { q } from '@/core/advice'
import { BROKE, type Broke, STEP_NAMES, STEPS, type Step, screenBroke } from '@/core/equipment'
import {
  advanced,
  type Batch,
  batchesOf,
  PLAN,
  type RoomLine,
  reclaimable,
  roomLines,
  type ScreenJob,
} from '@/core/plan'
import { stepsOf, stepTime, whyStepTime } from '@/core/schedule'
import { emulsionAge } from '@/core/screen'
import { AskNumber } from '@/ui/AskNumber'
import { Cautions } from '@/ui/Cautions'
import { localNow, sayMoment, useNow } from '@/ui/clock'
import { Empty, PushLink } from '@/ui/Empty'
import { Button, Link } from '@/ui/elements'
import { QuantityField } from '@/ui/fields'
import { Measure } from '@/ui/Measure'
import { Section, TextButton } from '@/ui/Section'
import { useAsPrinted } from '@/ui/settings'
import { Told } from '@/ui/Told'
import { Filling } from '../Filling'
import { Later } from '../Later'
import { Countdown } from './Countdown'
import { PrintGroups } from './PrintGroups'
import { Reclaim } from './Reclaim'
import { useFrames } from './useFrames'

/** The screens of the open orders due first by what is next, those first that must be started first. */
export function ScreenRoom({
  jobs,
  planning,
  later,
}: {
  readonly jobs: readonly ScreenJob[]
  readonly planning: number
  readonly later: number
}) {
  const asPrinted = useAsPrinted()
  const { shop, put } = useFrames()
  const lines = useMemo(() => roomLines(jobs, shop), [jobs, shop])
  const [only, setOnly] = useState<Step>()
  const now = useNow()
  const advance = (which: readonly RoomLine[], head?: number) => {
    const at = localNow()
    let after = shop
    for (const line of which) {
      const changed = new Map(advanced(line, after, at, head).map((f) => [f.id, f]))
      after = { ...after, frames: after.frames.map((f) => changed.get(f.id) ?? f) }
    }
    put(after.frames.filter((f, i) => f !== shop.frames[i]))
  }
  const [told, setTold] = useState('')
  /** The same screen is on the list again, to be made anew on what frame there is. */
  const broke = ({ frame, screen, job }: RoomLine, what: Broke) => {
    if (!frame) return
    put([screenBroke(frame, what)])
    setTold(
      `${BROKE[what]}: ${screen.name}, ${job.words}, is made anew. ${frame.id} ${
        what === 'frame' ? 'is out of use.' : 'is to be washed out first.'
      }`,
    )
  }
  const today = localNow().slice(0, 10)
  const ages = now === undefined ? [] : shop.screens.emulsions.flatMap((e) => emulsionAge(e, today))
  const steps = STEP_NAMES.filter(
    (s) => (only === undefined || s === only) && lines.some((l) => l.next === s),
  )
  const mounted = lines.filter((l) => l.next === undefined)
  return (
    <>
      <Flex align="end" gap="5" mb="3" wrap="wrap">
        <StepStrip lines={lines} only={only} onPick={setOnly} />
        <Box width="6.5rem">
          <QuantityField name="shop.screens.humidity" label="Humidity" kind="share" />
        </Box>
        <Box pb="1">
          <Box fontSize="small" color="soft">
            Emulsion dries in
          </Box>
          <AskNumber label="Drying time" reasons={whyStepTime('dry', shop.screens.humidity)}>
            <Box as="span" fontSize="title" fontWeight="650">
              <Measure kind="workTime" value={stepTime('dry', shop.screens.humidity)} />
            </Box>
          </AskNumber>
        </Box>
        <Link
          href={`/api/screens/labels.pdf?${asPrinted}`}
          prefetch={false}
          textDecoration="underline"
          pb="1.5"
        >
          Labels (PDF)
        </Link>
      </Flex>
      {told && (
        <Box role="status" mb="3" fontWeight="650">
          {told}
        </Box>
      )}
      <Told reasons={ages} />
      <Filling planning={planning} />
      {lines.length === 0 && planning === 0 && (
        <Empty says="No open order asks for a screen. Frames can be read and put in order meanwhile.">
          <PushLink href="/screens/frames">See the frames</PushLink>
        </Empty>
      )}
      {steps.map((step) => (
        <StepList
          key={step}
          step={step}
          batches={batchesOf(step, lines, now ?? 0)}
          now={now}
          onAdvance={advance}
          onBroke={broke}
        />
      ))}
      {only === undefined && mounted.length > 0 && (
        <Section title={`${mounted.length} mounted at the press`}>
          <PrintGroups lines={mounted} now={now} onAdvance={advance} onBroke={broke} />
        </Section>
      )}
      <Later orders={later} />
      {only === undefined && <Reclaim frames={reclaimable(lines, shop)} onPut={put} />}
      {only === undefined && <Cautions at="screenRoom" />}
    </>
  )
}

/** How many screens wait at each step; one tap shows only these. */
function StepStrip({
  lines,
  only,
  onPick,
}: {
  readonly lines: readonly RoomLine[]
  readonly only: Step | undefined
  readonly onPick: (step: Step | undefined) => void
}) {
  return (
    <Flex as="fieldset" wrap="wrap" minWidth="0" border="1px solid" borderColor="ink" mr="auto">
      <Box as="legend" srOnly>
        Show one step
      </Box>
      {stepsOf({ hardens: lines.some((l) => l.screen.hardens) }).map((step) => {
        const count = lines.filter((l) => l.next === step).length
        return (
          <Button
            key={step}
            type="button"
            aria-pressed={only === step}
            onClick={() => onPick(only === step ? undefined : step)}
            px="2.5"
            py="1"
            minWidth="4.2rem"
            flex={{ base: '1 0 22%', md: 'none' }}
            textAlign="left"
            borderLeft={step === 'coat' ? undefined : '1px solid'}
            borderColor="rule"
            bg={only === step ? 'ink' : 'transparent'}
            color={only === step ? 'work' : 'ink'}
            cursor="pointer"
          >
            <Box fontSize="figure" fontWeight="700" lineHeight="1.1">
              {count}
            </Box>
            <Box fontSize="small">{SHORT[step]}</Box>
          </Button>
        )
      })}
    </Flex>
  )
}

const SHORT: Readonly<Record<Step, string>> = {
  coat: 'coat',
  dry: 'dry',
  expose: 'expose',
  wash: 'wash',
  dryOff: 'dry again',
  harden: 'harden',
  check: 'check',
  tape: 'tape',
  mount: 'mount',
}

/** One step with its batches. */
function StepList({
  step,
  batches,
  now,
  onAdvance,
  onBroke,
}: {
  readonly step: Step
  readonly batches: readonly Batch[]
  readonly now: number | undefined
  readonly onAdvance: (lines: readonly RoomLine[]) => void
  readonly onBroke: (line: RoomLine, what: Broke) => void
}) {
  const { shop } = useFrames()
  const count = batches.reduce((n, b) => n + b.lines.length, 0)
  const words = ({ lines: [first] }: Batch) => {
    const emulsion = shop.screens.emulsions.find((e) => e.id === first?.screen.emulsionId)?.name ?? ''
    if (step === 'coat') {
      const late = now !== undefined && first?.latest !== undefined && first.latest < now
      const day =
        first?.latest === undefined
          ? ''
          : late
            ? ', begin now'
            : `, begin ${sayMoment(first.latest, 'EEEE d')}`
      return `${emulsion}, ${first?.screen.coats} coats${day}`
    }
    const lamp = shop.screens.lamps.find((l) => l.id === first?.screen.expose?.lampId)?.name
    return step === 'expose' && lamp ? `${emulsion}, ${lamp}` : ''
  }
  return (
    <Section title={`${STEPS[step]}: ${count}`}>
      {batches.map((batch) => {
        const ready = batch.lines.filter((l) => l.frame)
        const longest =
          step === 'expose' ? Math.max(...batch.lines.map((l) => l.screen.expose?.time ?? 0)) : 0
        return (
          <Box key={batch.lines[0]?.key} mb="3">
            {(words(batch) || ready.length > 1) && (
              <Flex align="center" gap="4" bg="surround" px="2" py="1" minHeight="2.4rem">
                <Box fontWeight="600">{words(batch)}</Box>
                {longest > 0 && (
                  <>
                    <Box fontSize="figure" fontWeight="700" lineHeight="1">
                      <AskNumber
                        label="Exposure of this batch"
                        reasons={[
                          PLAN.because('EXPOSED_TOGETHER', {
                            time: q('duration', longest),
                            screens: `${batch.lines.length} ${batch.lines.length === 1 ? 'screen' : 'screens'}`,
                          }),
                        ]}
                      >
                        <Measure kind="duration" value={longest} />
                      </AskNumber>
                    </Box>
                    <Countdown
                      seconds={longest}
                      what={`${batch.lines.length === 1 ? 'One screen' : `${batch.lines.length} screens`}, ${words(batch)}`}
                    />
                  </>
                )}
                {ready.length > 1 && (
                  <TextButton ml="auto" onClick={() => onAdvance(ready)}>
                    All {ready.length} done
                  </TextButton>
                )}
              </Flex>
            )}
            <PrintGroups lines={batch.lines} now={now} onAdvance={onAdvance} onBroke={onBroke} />
          </Box>
        )
      })}
    </Section>
  )
}
