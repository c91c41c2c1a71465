'use client'

import { Box, Grid } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import { q } from '@/core/advice'
import { type FlashCalibration, type FlashReading, type FlashUnit, flashReading } from '@/core/equipment'
import { type FlashTest, HEAT, shown, TEST_PRINT, USUAL_AMBIENT, WARM_BOARD } from '@/core/heat'
import { boardKindOf } from '@/core/plan'
import { simulatedGun } from '@/devices/temperatureGun'
import { AskNumber } from '@/ui/AskNumber'
import { localNow } from '@/ui/clock'
import { QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { wrongIn } from '../../wrongIn'
import { useShop } from '../shopContext'
import { CalibrationSheet } from './CalibrationSheet'
import { calibrator } from './calibrator'
import { begun, FLASH_STEPS, keptFlash, type Written } from './readings'

/** The press of the simulated gun: hotter than usual, with less tack, and a draught below. */
const SIMULATED = [1.18, 0.75, 1.3].map(Math.log)

/** What is written down stays for as long as the tab lives. */
const drafts = new Map<string, readonly Written[]>()

const readingOf = ({ of, values }: Written) => ({ of, ...values }) as unknown as FlashReading

interface Props {
  readonly unit: FlashUnit
  readonly onUse: (calibration: FlashCalibration) => void
}

/** The sheet of a flash unit at its press. */
export function FlashCalibrator({ unit, onUse }: Props) {
  const { shop } = useShop()
  const press = shop.presses.find((p) => p.id === unit.pressId)
  const { calibration } = unit
  const [above, setAbove] = useState<number>(calibration?.above ?? 0.065)
  const [air, setAir] = useState<number>(calibration?.roomAir ?? USUAL_AMBIENT.air)
  const [humidity, setHumidity] = useState<number>(calibration?.humidity ?? USUAL_AMBIENT.humidity)
  const [written, setWritten] = useState(
    () => drafts.get(unit.id) ?? (calibration ? keptFlash(calibration.readings) : FLASH_STEPS.map(begun)),
  )
  const write = (next: readonly Written[]) => {
    drafts.set(unit.id, next)
    setWritten(next)
  }
  const test = useMemo(
    (): FlashTest => ({
      kind: unit.kind,
      board: boardKindOf(press?.palletMaterial ?? 'aluminium'),
      above,
      air,
      humidity,
    }),
    [unit.kind, press, above, air, humidity],
  )
  const readWith = async (one: Written) => {
    const reading = readingOf(one)
    const gun = simulatedGun(async (delay) => {
      const at = { ...reading, ...(reading.of === 'hot' && { delay }) } as FlashReading
      const is = await calibrator().expected(test, at, SIMULATED)
      return reading.of === 'hot' ? shown(is, air) : is
    }, one.key)
    const { temperature, delay } = await gun.read()
    return { read: temperature, ...(reading.of === 'hot' && { delay }) }
  }
  const workOut = async (readings: readonly Written[]) => {
    const found = await calibrator().calibrateFlash(test, readings.map(readingOf))
    if ('odd' in found) return found
    const { gain, contact, loss, dwellSpread } = found.calibration
    const heat = [
      HEAT.because('READ_HEAT', {
        gain: q('share', gain),
        contact: q('share', contact),
        loss: q('share', loss),
      }),
    ]
    const { usual, then } = found.dwell
    const dwell =
      usual !== undefined && then !== undefined
        ? [
            HEAT.because('READ_DWELL', {
              boards: q('temperature', WARM_BOARD),
              usual: q('duration', usual),
              then: q('duration', then),
              spread: q('duration', dwellSpread),
            }),
          ]
        : []
    return {
      readings: found.readings,
      use: () => onUse({ on: localNow().slice(0, 10), ...found.calibration }),
      headlines: (
        <>
          {usual !== undefined && then !== undefined && (
            <Headline label="Dwell on a warm pallet">
              <AskNumber label="Dwell on a warm pallet" reasons={dwell}>
                <Measure kind="duration" value={usual} /> → <Measure kind="duration" value={then} />
              </AskNumber>
            </Headline>
          )}
          <Headline label="Give or take">
            <AskNumber label="Spread of the dwell" reasons={dwell}>
              <Measure kind="duration" value={dwellSpread} />
            </AskNumber>
          </Headline>
          <Headline label="Heat">
            <AskNumber label="Heat it gives" reasons={heat}>
              <Measure kind="share" value={gain} />
            </AskNumber>
          </Headline>
          <Headline label="Cloth to pallet">
            <AskNumber label="Cloth to pallet" reasons={heat}>
              <Measure kind="share" value={contact} />
            </AskNumber>
          </Headline>
          <Headline label="Loss below">
            <AskNumber label="Loss below" reasons={heat}>
              <Measure kind="share" value={loss} />
            </AskNumber>
          </Headline>
        </>
      ),
    }
  }
  return (
    <Box mt="5" role="region" aria-label={`Calibration sheet of ${unit.name}`}>
      <Box fontSize="lead" fontWeight="650" mb="2">
        {unit.name} at {press?.name}
      </Box>
      <Box maxWidth="46rem" mb="3">
        Print one plain white base, <Measure kind="length" value={TEST_PRINT.width} /> ×{' '}
        <Measure kind="length" value={TEST_PRINT.height} />, on white cotton tees. Any of these readings
        helps, all three most. The gun here is simulated; a real one is read the same way.
      </Box>
      <Grid
        templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: 'repeat(3, 10rem)' }}
        gap="3"
        mb="3"
      >
        <QuantityInput label="Unit over the print" kind="length" value={above} onGive={setAbove} />
        <QuantityInput label="Air of the shop" kind="temperature" value={air} onGive={setAir} />
        <QuantityInput label="Humidity" kind="share" value={humidity} onGive={setHumidity} />
      </Grid>
      <CalibrationSheet
        steps={FLASH_STEPS}
        written={written}
        onWrite={write}
        readWith={readWith}
        device="simulated gun"
        wrongWith={(one) => wrongIn(flashReading, readingOf(one))}
        workOut={workOut}
      />
    </Box>
  )
}
