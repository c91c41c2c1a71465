import { Box } from '@chakra-ui/react'
import type { FlashAlong } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { useSettings } from '@/ui/settings'

/** The dwell schedule of a flash along the garments of a run, to the scale of the slider below it. */
export function DwellRuler({
  flash: { name, schedule },
  pieces,
}: {
  readonly flash: FlashAlong
  readonly pieces: number
}) {
  const { units } = useSettings()
  const parts = schedule.map((s, i) => {
    const to = schedule[i + 1]?.from ?? pieces + 1
    return { ...s, share: (to - s.from) / Math.max(1, pieces) }
  })
  const widest = parts.reduce((a, b, i) => (b.share > (parts[a]?.share ?? 0) ? i : a), 0)
  if (parts.length === 0) return null
  return (
    <Box
      display="flex"
      role="img"
      aria-label={`Dwell after ${name}: ${parts.map((p) => `${writeQuantity('duration', p.time, units)} from garment ${p.from}`).join(', ')}`}
      fontSize="small"
      lineHeight="1.35rem"
      mx="0.55rem"
    >
      {parts.map(({ from, time, share }, i) => (
        <Box
          key={from}
          // What does not fit goes to the next line, and that is not seen.
          display="flex"
          flexWrap="wrap"
          columnGap="1"
          minWidth="0"
          height="1.35rem"
          overflow="hidden"
          whiteSpace="nowrap"
          borderLeft="2px solid"
          borderBottom="1px solid"
          borderColor="soft"
          style={{ width: `${100 * share}%` }}
        >
          <Box width="1px" />
          <Box as="span" fontWeight="650">
            {writeQuantity('duration', time, units)}
          </Box>
          {i === widest && (
            <Box as="span" color="soft">
              after {name}
            </Box>
          )}
        </Box>
      ))}
    </Box>
  )
}
