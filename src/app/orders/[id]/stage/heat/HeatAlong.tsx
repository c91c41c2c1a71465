'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useDeferredValue, useState } from 'react'
import { type Overrides, q } from '@/core/advice'
import { HEAT } from '@/core/heat'
import { lapAt, type RunHeat } from '@/core/plan'
import { celsius, writeQuantity } from '@/core/quantity'
import { AdviceNumber } from '@/ui/AdviceValue'
import { AskNumber } from '@/ui/AskNumber'
import { Input } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { Section, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Told } from '@/ui/Told'
import { useOrder } from '../../orderContext'
import { useHeat, useMoments } from '../../usePlan'
import type { PlanProps } from '../planProps'
import { DwellChart } from './DwellChart'
import { LapTrace } from './LapTrace'

/** Days in one tap: the air that heat is computed with. */
const DAYS: Readonly<Record<string, Overrides>> = {
  'cold damp morning': { air: celsius(8), humidity: 0.9 },
  'hot afternoon': { air: celsius(32), humidity: 0.55 },
  'usual day': {},
}

/** Drawn here: the browser's own slider gives blue light, and a screen room wants none. */
const LINE = { height: '2px', background: 'var(--chakra-colors-ink)' }
const KNOB = {
  appearance: 'none',
  width: '1.1rem',
  height: '1.1rem',
  border: 'none',
  borderRadius: '9999px',
  background: 'var(--chakra-colors-ink)',
}
const SLIDER = {
  appearance: 'none',
  background: 'transparent',
  height: '1.5rem',
  '&::-webkit-slider-runnable-track': LINE,
  '&::-moz-range-track': LINE,
  '&::-webkit-slider-thumb': { ...KNOB, marginTop: 'calc(1px - 0.55rem)' },
  '&::-moz-range-thumb': KNOB,
} as const

/** What the heat does as the run goes on: dwell by garment, boards, what the next screen meets. */
export function HeatAlong({ plan }: PlanProps) {
  const { choose } = useOrder()
  const heat = useHeat(plan)
  const { air, humidity } = plan.ambient
  const isNow = (day: Overrides) => day.air === air.chosen && day.humidity === humidity.chosen
  return (
    <Section
      title="Along the run"
      side={
        <Flex gap="3" align="baseline" wrap="wrap" justify="flex-end">
          {Object.entries(DAYS).map(([name, day]) => (
            <TextButton
              key={name}
              aria-pressed={isNow(day)}
              textDecoration={isNow(day) ? 'none' : 'underline'}
              fontWeight={isNow(day) ? '750' : '550'}
              onClick={() => choose(['air', 'humidity'], day)}
            >
              {name}
            </TextButton>
          ))}
        </Flex>
      }
    >
      <Flex gap="6" wrap="wrap" align="baseline" mb="3" color="soft" fontSize="small">
        <span>
          {air.label} <AdviceNumber advice={air} />
        </span>
        <span>
          {humidity.label} <AdviceNumber advice={humidity} />
        </span>
        <span>Computed, not measured at your press: dwell within 2.5 s, film within 20 K.</span>
      </Flex>
      <Box minHeight="34rem">
        {heat ? <Worked plan={plan} heat={heat} /> : <Box role="status">Working out the run …</Box>}
      </Box>
    </Section>
  )
}

function Worked({ plan, heat }: PlanProps & { readonly heat: RunHeat }) {
  const { units } = useSettings()
  const { choose } = useOrder()
  const wrong = heat.reasons.filter((r) => r.rule !== 'RUN_DWELL' && r.rule !== 'RUN_SETTLES')
  const settled = heat.reasons.filter((r) => r.rule === 'RUN_SETTLES')
  return (
    <>
      {heat.flashes.map((f) => {
        const end = f.schedule.at(-1)
        return (
          <Flex key={f.name} columnGap="7" rowGap="2" mb="3" align="end" wrap="wrap">
            {f.schedule.map((s, i) => (
              <Headline
                key={s.from}
                label={i === 0 ? `Flash after ${f.name}, cold boards` : `from garment ${s.from}`}
              >
                <AskNumber
                  label={`Flash after ${f.name}, from garment ${s.from}`}
                  reasons={f.reasons.filter((r) => r.rule === 'RUN_DWELL')}
                >
                  <Measure kind="duration" value={s.time} />
                </AskNumber>
              </Headline>
            ))}
            {end && Math.abs(end.time - f.set) > 0.75 && (
              <TextButton onClick={() => choose([f.key], { [f.key]: end.time })}>
                Set {writeQuantity('duration', end.time, units)} instead of{' '}
                {writeQuantity('duration', f.set, units)}
              </TextButton>
            )}
          </Flex>
        )
      })}
      {heat.settles && (
        <Box mb="2" color="soft">
          Boards settle at{' '}
          <AskNumber label="Boards settle at" reasons={settled}>
            <Measure kind="temperature" value={heat.settles.board} />
          </AskNumber>{' '}
          after about{' '}
          <AskNumber label="Boards settle after" reasons={settled}>
            {heat.settles.garment}
          </AskNumber>{' '}
          garments.
        </Box>
      )}
      <Told reasons={wrong} />
      {heat.laps.length > 1 && <DwellChart heat={heat} />}
      <OneLap plan={plan} heat={heat} />
    </>
  )
}

/** One garment on its way round, chosen by a slider. */
function OneLap({ plan, heat }: PlanProps & { readonly heat: RunHeat }) {
  const pieces = Math.max(1, plan.run.quantity)
  const [wanted, setWanted] = useState(1)
  const garment = Math.min(wanted, pieces)
  const lap = lapAt(heat, useDeferredValue(garment))
  const moments = useMoments(heat, lap)
  if (!lap) return null
  const board = [
    HEAT.because('RUN_BOARD', { boards: q('temperature', lap.board), from: q('count', garment) }),
  ]
  return (
    <>
      <Flex gap="5" rowGap="2" align="end" wrap="wrap" mt="4">
        <Box as="label" flex="1 1 16rem">
          <Box fontSize="small" color="soft">
            {`Garment ${garment} of ${pieces}`}
          </Box>
          <Input
            type="range"
            aria-label="Garment"
            min={1}
            max={pieces}
            step={1}
            value={garment}
            onChange={(e) => setWanted(Number(e.target.value))}
            width="100%"
            css={SLIDER}
          />
        </Box>
        <Headline label="Board">
          <AskNumber label="Board" reasons={board}>
            <Measure kind="temperature" value={lap.board} />
          </AskNumber>
        </Headline>
        {lap.flashes.map((f) => (
          <Headline key={f.name} label={`${f.name}, just flashed`}>
            <AskNumber
              label={`${f.name}, just flashed`}
              reasons={[
                HEAT.because('RUN_READ', {
                  name: f.name,
                  film: q('temperature', f.peak),
                  dwell: q('duration', f.time),
                  cloth: q('temperature', f.cloth),
                }),
              ]}
            >
              <Measure kind="temperature" value={f.peak} />
            </AskNumber>
          </Headline>
        ))}
        {lap.prints.map((p) => (
          <Headline key={p.name} label={`under ${p.name}`}>
            <AskNumber
              label={`Film under ${p.name}`}
              reasons={[
                HEAT.because('RUN_NEXT', {
                  name: p.name,
                  film: q('temperature', p.film),
                  safe: q('temperature', heat.safe),
                }),
              ]}
            >
              <Measure kind="temperature" value={p.film} />
            </AskNumber>
          </Headline>
        ))}
      </Flex>
      {moments && <LapTrace moments={moments} heat={heat} />}
    </>
  )
}
