'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useDeferredValue, useState } from 'react'
import { q } from '@/core/advice'
import { HEAT, type Lap } from '@/core/heat'
import { LATER, lapAt, type RunHeat } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { AskNumber } from '@/ui/AskNumber'
import type { StripScale } from '@/ui/lap/stripCells'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { Slider } from '@/ui/Slider'
import { useSettings } from '@/ui/settings'
import { useLapTrace } from '../../usePlan'
import type { PlanProps } from '../planProps'
import { DwellRuler } from './DwellRuler'
import { LapTrace } from './LapTrace'

/** One garment on its way round, chosen by a slider. */
export function OneLap({
  plan,
  heat,
  under,
}: PlanProps & { readonly heat: RunHeat; readonly under?: StripScale | undefined }) {
  const { units } = useSettings()
  const pieces = Math.max(1, plan.run.quantity)
  const [wanted, setWanted] = useState(1)
  const garment = Math.min(wanted, pieces)
  const lap = lapAt(heat, useDeferredValue(garment))
  const trace = useLapTrace(heat, lap)
  if (!lap) return null
  const board = [
    HEAT.because('RUN_BOARD', { boards: q('temperature', lap.board), from: q('count', garment) }),
  ]
  return (
    <>
      <Box mt="4">
        {heat.flashes.map((f) => (
          <DwellRuler key={f.name} flash={f} pieces={pieces} />
        ))}
        <Slider
          label="Garment"
          says={`Garment ${garment} of ${pieces}`}
          min={1}
          max={pieces}
          step={1}
          value={garment}
          onMove={setWanted}
        />
      </Box>
      <Flex gap="5" rowGap="2" align="end" wrap="wrap" mb="2">
        <Headline label="Board">
          <AskNumber label="Board" reasons={board}>
            <Measure kind="temperature" value={lap.board} />
          </AskNumber>
        </Headline>
        {lap.flashes.map((f, i) => (
          <Headline key={f.name} label={`${f.name}, just flashed`}>
            <AskNumber label={`${f.name}, just flashed`} reasons={[readOf(f)]}>
              <Measure kind="temperature" value={f.peak} />
            </AskNumber>
            <Box as="span" fontSize="small" fontWeight="400" color="soft" ml="2">
              cloth{' '}
              <AskNumber label={`Cloth under ${f.name}, just flashed`} reasons={[readOf(f)]}>
                {writeQuantity('temperature', f.cloth, units)}
              </AskNumber>
            </Box>
            {trace?.reads[i] && (
              <Box as="span" fontSize="small" fontWeight="400" color="soft" ml="2">
                <AskNumber
                  label={`${f.name}, ${LATER} s after the flash`}
                  reasons={[
                    HEAT.because('RUN_LATER', {
                      name: f.name,
                      time: q('duration', LATER),
                      film: q('temperature', trace.reads[i].later),
                    }),
                  ]}
                >
                  {writeQuantity('temperature', trace.reads[i].later, units)} after {LATER} s
                </AskNumber>
              </Box>
            )}
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
      {trace && <LapTrace plan={plan} trace={trace} heat={heat} under={under} />}
    </>
  )
}

/** What a gun finds at once after a flash, and what is below it. */
const readOf = ({ name, peak, time, cloth }: Lap['flashes'][number]) =>
  HEAT.because('RUN_READ', {
    name,
    film: q('temperature', peak),
    dwell: q('duration', time),
    cloth: q('temperature', cloth),
  })
