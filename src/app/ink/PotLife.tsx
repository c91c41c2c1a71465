'use client'

import { Box } from '@chakra-ui/react'
import { momentOf } from '@/core/schedule'
import { sayMoment, useNow } from '@/ui/clock'
import { SeverityMark } from '@/ui/Severity'

const SOON = 20 * 60

/** How long time-limited ink stays workable; nothing for ink that keeps. */
export function PotLife({ expires }: { readonly expires: string | undefined }) {
  const now = useNow()
  if (expires === undefined || now === undefined) return null
  const end = momentOf(expires)
  const left = end - now
  const minutes = Math.max(0, Math.round(left / 60))
  return (
    <Box as="span" whiteSpace="nowrap" fontWeight="650">
      {left <= 0 ? (
        <>
          <SeverityMark severity="Stop" /> past its time since {sayMoment(end, 'HH:mm')}
        </>
      ) : (
        <>
          {left < SOON && <SeverityMark severity="Watch" word={false} />} {minutes} min left, till{' '}
          {sayMoment(end, 'HH:mm')}
        </>
      )}
    </Box>
  )
}
