import { Box, Grid } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import { keysOf } from '@/core/quantity'
import { Tap } from '@/ui/Tap'

/** The second tap: why. Nothing is said until one is chosen. */
export function Causes<C extends string>({
  label,
  ask,
  options,
  onCause,
  back,
}: {
  readonly label: string
  readonly ask: string
  readonly options: Readonly<Record<C, string>>
  /** With nothing when it was not so after all. */
  readonly onCause: (cause?: C) => void
  readonly back: string
}) {
  const heading = useRef<HTMLDivElement>(null)
  useEffect(() => heading.current?.focus(), [])
  return (
    <Box role="group" aria-label={label} mb="6">
      <Box fontSize="lead" fontWeight="700" mb="2" tabIndex={-1} ref={heading}>
        {ask}
      </Box>
      <Grid templateColumns="repeat(auto-fill, minmax(10rem, 1fr))" gap="2">
        {keysOf(options).map((cause) => (
          <Tap key={cause} tall onTap={() => onCause(cause)}>
            {options[cause]}
          </Tap>
        ))}
        <Tap tall onTap={() => onCause()}>
          {back}
        </Tap>
      </Grid>
    </Box>
  )
}
