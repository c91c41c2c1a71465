'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useCallback } from 'react'
import { choiceOf } from '@/core/advice'
import type { Passed } from '@/core/heat'
import { shownUnit, showQuantity, writeQuantity } from '@/core/quantity'
import { AskNumber } from '@/ui/AskNumber'
import { Chart, type ChartPaint } from '@/ui/Chart'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../../orderContext'
import { useCure } from '../../usePlan'
import type { PlanProps } from '../planProps'
import { Told } from './Told'

/** The print on its way through the tunnel, and the belt speeds that are right. */
export function InTheDryer({ plan }: PlanProps) {
  const { shelf } = useOrder()
  const { units } = useSettings()
  const cure = useCure(plan, shelf.shop.dryers)
  if (!cure) return <Box minHeight="22rem" role="status" />
  const { window, passed, reasons } = cure
  const first = reasons.slice(0, 1)
  const chosen = plan.cure.dryer && choiceOf(plan.cure.dryer)
  const gas = shelf.shop.dryers.find((d) => d.id === chosen)?.heat === 'gas'
  const most = window.most !== undefined && writeQuantity('beltSpeed', window.most, units)
  const least = window.least !== undefined && showQuantity('beltSpeed', window.least, units).number
  return (
    <Box mt="4" minHeight="22rem">
      <Flex columnGap="7" rowGap="2" align="end" wrap="wrap" mb="2">
        <Headline label={`Film, in a usual ${gas ? 'gas' : 'infrared'} tunnel`}>
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
    ({ ink, soft, rule, text }: ChartPaint) => {
      const { factor, offset = 0, symbol } = shownUnit('temperature', units)
      const line = (
        label: string,
        of: (a: Passed['along'][number]) => number,
        type: string,
        width: number,
      ) => ({
        type: 'line',
        name: label,
        data: along.map((a) => [a.at, (of(a) - offset) / factor]),
        symbol: 'none',
        silent: true,
        lineStyle: { color: ink, width, type },
        endLabel: { show: true, formatter: label, ...text },
        labelLayout: { moveOverlap: 'shiftY' },
      })
      return {
        grid: { left: 58, right: 128, top: 16, bottom: 40 },
        xAxis: {
          type: 'value',
          min: 0,
          max: along.at(-1)?.at ?? 1,
          name: 'metres along the belt',
          nameLocation: 'middle',
          nameGap: 24,
          nameTextStyle: { ...text, color: soft },
          axisLabel: { ...text, color: soft, hideOverlap: true, formatter: (x: number) => x.toFixed(1) },
          splitLine: { show: false },
          axisLine: { lineStyle: { color: soft } },
          axisTick: { lineStyle: { color: soft } },
        },
        yAxis: {
          type: 'value',
          axisLabel: { ...text, color: soft, formatter: `{value} ${symbol}` },
          splitLine: { lineStyle: { color: rule } },
          axisLine: { show: false },
          axisTick: { show: false },
        },
        series: [line('film', (a) => a.film, 'solid', 2.4), line('cloth', (a) => a.cloth, 'dashed', 1.6)],
      }
    },
    [along, units],
  )
  return <Chart label="Film and cloth along the belt" draw={draw} height={200} />
}
