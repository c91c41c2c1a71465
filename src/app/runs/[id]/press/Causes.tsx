import { Box, Grid } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import { keysOf } from '@/core/quantity'
import { SPOILED_BY, type Target } from '@/core/record'
import { nameOf } from './SizeCard'
import { Tap } from './Tap'

/** The second tap of a spoiled piece: what spoiled it. */
export function Causes({
  target,
  onCause,
}: {
  readonly target: Target
  /** With nothing when it was not spoiled after all. */
  readonly onCause: (cause?: keyof typeof SPOILED_BY) => void
}) {
  const heading = useRef<HTMLDivElement>(null)
  useEffect(() => heading.current?.focus(), [])
  return (
    <Box role="group" aria-label={`What spoiled it, ${nameOf(target)}`} mb="6">
      <Box fontSize="lead" fontWeight="700" mb="2" tabIndex={-1} ref={heading}>
        What spoiled the {nameOf(target)}?
      </Box>
      <Grid templateColumns="repeat(auto-fill, minmax(10rem, 1fr))" gap="2">
        {keysOf(SPOILED_BY).map((cause) => (
          <Tap key={cause} tall onTap={() => onCause(cause)}>
            {SPOILED_BY[cause]}
          </Tap>
        ))}
        <Tap tall onTap={() => onCause()}>
          Not spoiled
        </Tap>
      </Grid>
    </Box>
  )
}
