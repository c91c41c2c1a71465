'use client'

import { Box, Grid } from '@chakra-ui/react'
import { AdviceChoice } from '@/ui/AdviceValue'
import { CautionLines } from '@/ui/Cautions'
import { Figure } from '@/ui/parts'
import { Section } from '@/ui/Section'
import { HeatAlong } from './heat/HeatAlong'
import { InTheDryer } from './heat/InTheDryer'
import { UnderPanel } from './heat/UnderPanel'
import type { PlanProps } from './planProps'

/** Stage 7: flash, cool-down, cure. */
export function HeatStage({ plan }: PlanProps) {
  const { cure } = plan
  return (
    <>
      <Section title={plan.flashes.length === 0 ? 'No flash' : 'Flash and cool-down'}>
        {plan.flashes.length === 0 ? (
          <Box color="soft">
            {plan.sequence.fits
              ? 'Nothing here has to dry between two screens.'
              : 'The order of printing does not fit, so no flash is planned yet.'}
          </Box>
        ) : (
          <Grid
            templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: 'repeat(4, 1fr)' }}
            gap="5"
            pt="1"
          >
            {plan.flashes.map((f) => (
              <Figure
                key={f.dwell.key}
                advice={f.dwell}
                label={f.unit ? `${f.dwell.label}, ${f.unit.name}` : `${f.dwell.label}: lamp, gun or rack`}
              />
            ))}
            {plan.coolDown && (
              <Figure
                advice={plan.coolDown}
                label={plan.coolDown.kind === 'count' ? 'Empty heads after it' : 'Cool-down'}
              />
            )}
            {plan.flashHeight && <Figure advice={plan.flashHeight} label="Panel above the pallet" />}
            {plan.panelTemperature && <Figure advice={plan.panelTemperature} label="Panel, about" />}
          </Grid>
        )}
        {plan.flashes.length > 0 && <CautionLines at="flash" />}
      </Section>
      {plan.time && plan.flashes.some((f) => f.unit) && <HeatAlong plan={plan} />}
      <Section title="Cure" side={cure.dryer && cure.belt && <AdviceChoice advice={cure.dryer} />}>
        <Grid
          templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: 'repeat(4, 1fr)' }}
          gap="5"
          pt="1"
        >
          <Figure advice={cure.inkFilm} />
          <Figure advice={cure.dwell} />
          {cure.belt && <Figure advice={cure.belt} />}
        </Grid>
        {cure.belt ? <InTheDryer plan={plan} /> : <UnderPanel plan={plan} />}
        {plan.flashes.length === 0 && <CautionLines at="flash" />}
        <CautionLines at="dryer" />
      </Section>
    </>
  )
}
