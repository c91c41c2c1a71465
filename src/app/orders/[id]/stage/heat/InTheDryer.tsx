'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useCallback } from 'react'
import { choiceOf } from '@/core/advice'
import type { Passed } from '@/core/heat'
import { shownUnit, showQuantity, writeQuantity } from '@/core/quantity'
import { AskNumber } from '@/ui/AskNumber'
import { Chart, type ChartPaint } from '@/ui/Chart'
import { curve, ground } from '@/ui/curves'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { useSettings } from '@/ui/settings'
import { Told } from '@/ui/Told'
import { useOrder } from '../../orderContext'
import { useCure } from '../../usePlan'
import type { PlanProps } from '../planProps'

/** The print on its way through the tunnel, and the belt speeds that are right. */
export function InTheDryer({ plan }: PlanProps) {
  const { shelf } = useOrder()
  const { units } = useSettings()
  const cure = useCure(plan, shelf.shop.dryers)
  if (!cure) return <Box minHeight="22rem" role="status" />
  const { window, passed, reasons } = cure
  const first = reasons.slice(0, 1)
  const chosen = plan.cure.dryer && choiceOf(plan.cure.dryer)
  const dryer = shelf.shop.dryers.find((d) => d.id === chosen)
  const tunnel = dryer?.calibration
    ? `${dryer.name} as it was read`
    : `a usual ${dryer?.heat === 'gas' ? 'gas' : 'infrared'} tunnel`
  const most = window.most !== undefined && writeQuantity('beltSpeed', window.most, units)
  const least = window.least !== undefined && showQuantity('beltSpeed', window.least, units).number
  return (
    <Box mt="4" minHeight="22rem">
      <Flex columnGap="7" rowGap="2" align="end" wrap="wrap" mb="2">
        <Headline label={`Film, in ${tunnel}`}>
          <AskNumber label="Film in the tunnel" reasons={first}>
            <Measure kind="temperature" value={passed.peak} />
          </AskNumber>
        </Headline>
        <Headline label="Cured">
          <AskNumber label="Cured in the tunnel" reasons={first}>
            <Measure kind="share" value={passed.cure} />
          </AskNumber>
        </Headline>
        {passed.dry !== undefined && (
          <Headline label="Dry to the touch after">
            <AskNumber label="Dry in the tunnel" reasons={first}>
              <Measure kind="duration" value={passed.dry} />
            </AskNumber>
          </Headline>
        )}
        <Headline label="Belt speeds that are right">
          <AskNumber label="Belt speeds that are right" reasons={reasons}>
            {most ? `${least || 'up'} to ${most}` : 'none'}
          </AskNumber>
        </Headline>
      </Flex>
      <Told reasons={reasons.slice(1)} />
      <Profile along={passed.along} />
    </Box>
  )
}

function Profile({ along }: Pick<Passed, 'along'>) {
  const { units } = useSettings()
  const draw = useCallback(
    (paint: ChartPaint) => {
      const { factor, offset = 0, symbol } = shownUnit('temperature', units)
      const points = (of: (a: Passed['along'][number]) => number) =>
        along.map((a): [number, number] => [a.at, (of(a) - offset) / factor])
      const across = {
        name: 'metres along the belt',
        to: along.at(-1)?.at ?? 1,
        say: (x: number) => x.toFixed(1),
      }
      const base = ground(paint, across, symbol)
      const cured = writeQuantity('share', along.at(-1)?.cure ?? 0, units)
      return {
        ...base,
        yAxis: [base.yAxis, { type: 'value', min: 0, max: 1, show: false }],
        series: [
          curve(
            paint,
            'film',
            points((a) => a.film),
            { width: 2.4 },
          ),
          curve(
            paint,
            'cloth',
            points((a) => a.cloth),
            { dash: 'dashed' },
          ),
          {
            ...curve(
              paint,
              `cured ${cured}`,
              along.map((a) => [a.at, a.cure]),
              { dash: 'dotted' },
            ),
            yAxisIndex: 1,
          },
        ],
      }
    },
    [along, units],
  )
  return <Chart label="Film, cloth and cure along the belt" draw={draw} height={200} />
}
