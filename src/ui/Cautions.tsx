'use client'

import { Box } from '@chakra-ui/react'
import { message } from '@/core/advice'
import { CAUTIONS, type CautionPlace, SAFETY } from '@/core/safety'
import { Section } from './Section'
import { useSettings } from './settings'

/** What can hurt someone at this work, a line each. */
export const Cautions = ({ at }: { readonly at: CautionPlace }) => (
  <Section title="Take care">
    <CautionLines at={at} />
  </Section>
)

/** The same beside the numbers that it concerns. */
export function CautionLines({ at }: { readonly at: CautionPlace }) {
  const { units } = useSettings()
  return (
    <Box as="ul" listStyleType="none" aria-label="Take care" maxWidth="52rem" fontSize="small" pt="2">
      {CAUTIONS[at].map((id) => (
        <Box as="li" key={id} py="0.5">
          {message(SAFETY.because(id), units)}
        </Box>
      ))}
    </Box>
  )
}
