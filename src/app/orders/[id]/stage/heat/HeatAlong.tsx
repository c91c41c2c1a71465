'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Overrides } from '@/core/advice'
import type { RunHeat, Tried } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { AdviceNumber } from '@/ui/AdviceValue'
import { AskNumber } from '@/ui/AskNumber'
import { AIR_DAYS } from '@/ui/airDays'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { Section, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Told } from '@/ui/Told'
import { useOrder } from '../../orderContext'
import { useHeat, useTried } from '../../usePlan'
import type { PlanProps } from '../planProps'
import { DwellChart } from './DwellChart'
import { OneLap } from './OneLap'
import { WhatIf } from './WhatIf'

/** A day as the choices of a run. */
const asChosen = (day: (typeof AIR_DAYS)[keyof typeof AIR_DAYS]): Overrides =>
  day ? { air: day.temperature, humidity: day.humidity } : {}

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
          {Object.entries(AIR_DAYS)
            .map(([name, day]) => [name, asChosen(day)] as const)
            .map(([name, day]) => (
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

const NOTHING: Tried = { overrides: {} }

/** What is set and settles as planned; below it what goes wrong and how, with what is tried. */
function Worked({ plan, heat }: PlanProps & { readonly heat: RunHeat }) {
  const { units } = useSettings()
  const [tried, setTried] = useState<Tried>()
  const [near, setNear] = useState(false)
  // Worked out once before anything is changed: the first change is then as quick as the rest.
  const found = useTried(heat, tried ?? (near ? NOTHING : undefined))
  const shown = (tried && found?.heat) || heat
  const { choose, stagePath } = useOrder()
  const wrong = shown.reasons.filter((r) => r.rule !== 'RUN_DWELL' && r.rule !== 'RUN_SETTLES')
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
      <Box mt="4">
        <WhatIf plan={plan} tried={tried} found={found} onTry={setTried} onNear={() => setNear(true)} />
      </Box>
      <Told reasons={wrong} />
      {shown.laps.length > 1 && <DwellChart heat={shown} />}
      <OneLap plan={plan} heat={shown} />
      <Box mt="5">
        If a print sticks, it is too hot or under-gelled:{' '}
        <Link href={`${stagePath('sequence')}#trouble`} textDecoration="underline">
          Trouble asks which, and what to do
        </Link>
        .
      </Box>
    </>
  )
}
