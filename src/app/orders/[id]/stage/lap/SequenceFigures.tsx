import { Flex } from '@chakra-ui/react'
import { q } from '@/core/advice'
import { PLAN, screensOf } from '@/core/plan'
import { AskButton } from '@/ui/AdviceValue'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import type { PlanProps } from '../planProps'

/** What the order of printing comes to, in numbers. */
export function SequenceFigures({ plan }: PlanProps) {
  const { laps, mud, moves } = plan.sequence
  const figure = (
    label: string,
    rule: 'SCREENS' | 'FLASHES' | 'LAPS' | 'MUD_POINTS' | 'MOVES',
    value: number,
    none?: string,
  ) => (
    <Headline label={label}>
      <AskNumber
        label={label}
        reasons={[PLAN.because(rule, { value: q('count', value), screens: q('count', value) })]}
      >
        {value === 0 && none ? none : <Measure kind="count" value={value} />}
      </AskNumber>
    </Headline>
  )
  return (
    <Flex gap="10" mb="5" align="end" wrap="wrap">
      {figure('Screens', 'SCREENS', screensOf(plan))}
      {figure('Flashes', 'FLASHES', plan.flashes.length)}
      {figure('Laps', 'LAPS', laps)}
      {figure('Mud points', 'MUD_POINTS', Math.round(mud), 'none')}
      {figure('Handgrips', 'MOVES', moves, 'all hangs')}
      {plan.time && (
        <Headline label="Whole run">
          <AskButton advice={plan.time.total}>
            <Measure kind="workTime" value={plan.time.total.advised} />
          </AskButton>
        </Headline>
      )}
    </Flex>
  )
}
