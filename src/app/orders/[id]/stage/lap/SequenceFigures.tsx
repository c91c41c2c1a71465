import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { q } from '@/core/advice'
import { PLAN, screensOf } from '@/core/plan'
import { AskButton } from '@/ui/AdviceValue'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import type { PlanProps } from '../planProps'

/** What the order of printing comes to, in numbers. */
export function SequenceFigures({ plan }: PlanProps) {
  const { laps, revolutions, wetRisk, moves } = plan.sequence
  const figure = (
    label: string,
    rule: 'SCREENS' | 'FLASHES' | 'LAPS' | 'WET_RISK' | 'MOVES',
    value: number,
    none?: string,
  ) => (
    <Inline label={label}>
      <AskNumber
        label={label}
        reasons={[PLAN.because(rule, { value: q('count', value), screens: q('count', value) })]}
      >
        {value === 0 && none ? none : <Measure kind="count" value={value} />}
      </AskNumber>
    </Inline>
  )
  return (
    <Flex columnGap="7" mb="6" align="baseline" wrap="wrap">
      {figure('Screens', 'SCREENS', screensOf(plan))}
      {figure('Flashes', 'FLASHES', plan.flashes.length)}
      {revolutions ? (
        <Inline label="Laps">
          <AskButton advice={revolutions}>
            <Measure kind="count" value={laps} />
          </AskButton>
        </Inline>
      ) : (
        figure('Laps', 'LAPS', laps)
      )}
      {figure('Wet contact risk', 'WET_RISK', Math.round(wetRisk), 'none')}
      {figure('Set-up moves', 'MOVES', moves, 'all mounted')}
      {plan.time && (
        <Inline label="Whole run">
          <AskButton advice={plan.time.total}>
            <Measure kind="workTime" value={plan.time.total.advised} />
          </AskButton>
        </Inline>
      )}
    </Flex>
  )
}

/** A figure behind its name, in a line of them. */
const Inline = ({ label, children }: { readonly label: string; readonly children: ReactNode }) => (
  <Box>
    <Box as="span" fontSize="small" color="soft" mr="2">
      {label}
    </Box>
    <Box as="span" fontSize="title" fontWeight="650">
      {children}
    </Box>
  </Box>
)
