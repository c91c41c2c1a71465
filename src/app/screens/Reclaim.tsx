'use client'

import { Box, Flex } from '@chakra-ui/react'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import type { Frame } from '@/core/equipment'
import { localNow } from '@/ui/clock'
import { Section, TextButton } from '@/ui/Section'

interface Props {
  readonly frames: readonly Frame[]
  readonly onPut: (frames: readonly Frame[]) => void
}

/** A cleaned stencil keeps about a year for a reorder (common practice). */
const KEEPS = 365

const sinceOf = (frame: Frame) => frame.stencil?.done.at(-1)?.at.slice(0, 10)

/** Frames whose stencil no open order wants: kept for a reorder, or reclaimed. */
export function Reclaim({ frames, onPut }: Props) {
  if (frames.length === 0) return null
  const today = parseISO(localNow().slice(0, 10))
  return (
    <Section title={`${frames.length} to reclaim, or to keep for a reorder`}>
      {frames.map((f) => {
        const since = sinceOf(f)
        const days = since ? differenceInCalendarDays(today, parseISO(since)) : 0
        return (
          <Flex key={f.id} gap="4" align="center" borderTop="1px solid" borderColor="rule" py="1.5">
            <Box fontSize="title" fontWeight="700" width="5.4rem">
              {f.id}
            </Box>
            <Box flex="1" minWidth="0" truncate>
              {f.stencil?.words}
            </Box>
            <Box color="soft" whiteSpace="nowrap">
              {since ? `since ${since}` : ''}
              {days > KEEPS ? ', too old to print from' : ''}
            </Box>
            <TextButton
              onClick={() => onPut([{ ...f, stencil: undefined, mounted: undefined, state: 'clean' }])}
            >
              Reclaimed
            </TextButton>
          </Flex>
        )
      })}
    </Section>
  )
}
