'use client'

import { Box } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import { q } from '@/core/advice'
import { type Dryer, type TunnelCalibration, type TunnelReading, tunnelReading } from '@/core/equipment'
import { HEAT, type TunnelTest } from '@/core/heat'
import { simulatedProbe } from '@/devices/temperatureGun'
import { AskNumber } from '@/ui/AskNumber'
import { localNow } from '@/ui/clock'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { wrongIn } from '../../wrongIn'
import { CalibrationSheet } from './CalibrationSheet'
import { calibrator } from './calibrator'
import { begun, keptTunnel, TUNNEL_STEPS, type Written } from './readings'

/** The tunnel of the simulated probe gives less than it says. */
const SIMULATED = Math.log(0.85)

const drafts = new Map<string, readonly Written[]>()

const readingOf = ({ values }: Written) => values as unknown as TunnelReading

interface Props {
  readonly dryer: Dryer
  readonly onUse: (calibration: TunnelCalibration) => void
}

/** The sheet of a tunnel. */
export function TunnelCalibrator({ dryer, onUse }: Props) {
  const { calibration } = dryer
  const [written, setWritten] = useState(
    () => drafts.get(dryer.id) ?? (calibration ? keptTunnel(calibration.readings) : TUNNEL_STEPS.map(begun)),
  )
  const write = (next: readonly Written[]) => {
    drafts.set(dryer.id, next)
    setWritten(next)
  }
  const test = useMemo(
    (): TunnelTest => ({ heat: dryer.heat ?? 'infrared', heatedLength: dryer.heatedLength }),
    [dryer.heat, dryer.heatedLength],
  )
  const readWith = async (one: Written) => {
    const belt = one.values.belt ?? 0
    const probe = simulatedProbe(() => calibrator().peakIn(test, belt, SIMULATED), one.key)
    return { read: (await probe.read()).peak }
  }
  const workOut = async (readings: readonly Written[]) => {
    const found = await calibrator().calibrateTunnel(test, readings.map(readingOf))
    if ('odd' in found) return found
    const { gain, filmSpread } = found.calibration
    const spread = q('count', Math.max(1, Math.round(filmSpread)))
    const why = [HEAT.because('READ_TUNNEL', { gain: q('share', gain), spread })]
    return {
      readings: found.readings,
      use: () => onUse({ on: localNow().slice(0, 10), ...found.calibration }),
      headlines: (
        <>
          <Headline label="Heat">
            <AskNumber label="Heat of the tunnel" reasons={why}>
              <Measure kind="share" value={gain} />
            </AskNumber>
          </Headline>
          <Headline label="A film is right to">
            <AskNumber label="Spread of the film" reasons={why}>
              ± {Math.max(1, Math.round(filmSpread))} K
            </AskNumber>
          </Headline>
        </>
      ),
    }
  }
  return (
    <Box mt="5" role="region" aria-label={`Calibration sheet of ${dryer.name}`}>
      <Box fontSize="lead" fontWeight="650" mb="2">
        {dryer.name}
      </Box>
      <Box maxWidth="46rem" mb="3">
        One plain white base on a white cotton tee, at the set points that you print with. One strip tells
        most of it, at two speeds more. The probe here is simulated; a real one is read the same way.
      </Box>
      <CalibrationSheet
        steps={TUNNEL_STEPS}
        written={written}
        onWrite={write}
        readWith={readWith}
        device="simulated probe"
        wrongWith={(one) => wrongIn(tunnelReading, readingOf(one))}
        workOut={workOut}
      />
    </Box>
  )
}
