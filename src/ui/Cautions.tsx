'use client'

import { Box } from '@chakra-ui/react'
import { message } from '@/core/advice'
import { CAUTIONS, type CautionPlace, SAFETY } from '@/core/safety'
import { Section } from './Section'
import { useSettings } from './settings'

/** What can hurt someone at this work, a line each. */
export function Cautions({ at }: { readonly at: CautionPlace }) {
  const { units } = useSettings()
  return (
    <Section title="Take care">
      <Box as="ul" listStyleType="none" maxWidth="52rem" fontSize="small">
        {CAUTIONS[at].map((id) => (
          <Box as="li" key={id} py="0.5">
            {message(SAFETY.because(id), units)}
          </Box>
        ))}
      </Box>
    </Section>
  )
}
