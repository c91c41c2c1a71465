'use client'

import { Box } from '@chakra-ui/react'
import { inputText, message } from '@/core/advice'
import type { PlanChange } from '@/core/plan'
import { useSettings } from './settings'

/** What changed between two plans, a line each: what it was, what it is now, and why. */
export function Differences({ changes }: { readonly changes: readonly PlanChange[] }) {
  const { units } = useSettings()
  return (
    <Box as="ul" listStyleType="none">
      {changes.map((c) => (
        <Box as="li" key={c.label} py="1.5" borderTop="1px solid" borderColor="rule">
          <strong>{c.label}:</strong> {inputText(c.from, units) || 'none'} →{' '}
          {inputText(c.to, units) || 'none'}
          {c.because && (
            <Box as="span" color="soft">
              {' '}
              because: {message(c.because, units)}
            </Box>
          )}
        </Box>
      ))}
    </Box>
  )
}
