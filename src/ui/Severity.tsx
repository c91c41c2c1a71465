import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import type { Severity } from '@/core/advice'

/** A shape for each severity, so that nothing rests on colour: a full octagon, an open triangle, a small ring. */
const SHAPES: Readonly<Record<Severity, ReactNode>> = {
  Stop: <polygon points="4,0.5 10,0.5 13.5,4 13.5,10 10,13.5 4,13.5 0.5,10 0.5,4" fill="currentColor" />,
  Watch: <polygon points="7,1.5 13,12.5 1,12.5" fill="none" stroke="currentColor" strokeWidth="1.8" />,
  Note: <circle cx="7" cy="7" r="3.4" fill="none" stroke="currentColor" strokeWidth="1.6" />,
}

export function SeverityMark({
  severity,
  word = true,
}: {
  readonly severity: Severity
  readonly word?: boolean
}) {
  return (
    <Flex as="span" display="inline-flex" align="baseline" gap="1.5" fontWeight="700" whiteSpace="nowrap">
      <svg
        width="14"
        height="14"
        viewBox="0 0 14 14"
        aria-hidden="true"
        style={{ position: 'relative', top: 2, flex: 'none' }}
      >
        {SHAPES[severity]}
      </svg>
      {word ? severity : <Box srOnly>{severity}</Box>}
    </Flex>
  )
}
