import { Box } from '@chakra-ui/react'
import type { Progress } from '@/workers/rehearsal'

const HIGH = 44
/** As bad as it is drawn. */
const MOST = 2

/** How bad each piece looked, as a strip; the line is where a careful eye sees it. */
export function SeenStrip({
  progress,
  planned,
}: {
  readonly progress: Progress | undefined
  readonly planned: number
}) {
  const seen = progress?.seen ?? []
  const wide = Math.max(planned, 1)
  return (
    <Box mb="3">
      <svg
        viewBox={`0 0 ${wide} ${HIGH}`}
        preserveAspectRatio="none"
        width="100%"
        height={HIGH}
        role="img"
        aria-label={`${progress?.spoiled ?? 0} of ${seen.length} pieces look wrong`}
      >
        {seen.map((v, i) => (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: a piece is its place
            key={i}
            x={i}
            width="0.85"
            y={HIGH - (Math.min(v, MOST) / MOST) * HIGH}
            height={(Math.min(v, MOST) / MOST) * HIGH}
            fill="currentColor"
            opacity={v >= 1 ? 1 : 0.35}
          />
        ))}
        <line
          x1="0"
          x2={wide}
          y1={HIGH / 2}
          y2={HIGH / 2}
          stroke="currentColor"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
          strokeDasharray="4 3"
        />
      </svg>
      <Box fontSize="small" color="soft">
        piece 1 to {planned}; over the line a careful eye sees it
      </Box>
    </Box>
  )
}
