import { Box } from '@chakra-ui/react'
import { useCallback } from 'react'
import type { Lap } from '@/core/heat'
import type { RunHeat } from '@/core/plan'
import { Chart, type ChartPaint } from '@/ui/Chart'
import { curve, ground } from '@/ui/curves'

/** What the flash needs, what it may not pass, and what is set, garment by garment. */
export function DwellChart({ heat }: { readonly heat: RunHeat }) {
  return heat.flashes.map((f, at) => <OneFlash key={f.name} heat={heat} at={at} name={f.name} />)
}

/** Lines end where the two that lie nearest would still be told apart. */
const HEIGHT = 190

function OneFlash({
  heat,
  at,
  name,
}: {
  readonly heat: RunHeat
  readonly at: number
  readonly name: string
}) {
  const draw = useCallback(
    (paint: ChartPaint) => {
      const points = (of: (lap: Lap) => number | undefined) =>
        heat.laps.map((lap, i): [number, number | null] => [i * heat.pallets + 1, of(lap) ?? null])
      const to = Math.max(2, (heat.laps.length - 1) * heat.pallets + 1)
      return {
        ...ground(paint, { name: 'garment', from: 1, to }, 's'),
        series: [
          curve(
            paint,
            'middle closes',
            points((l) => l.flashes[at]?.limit),
            { dash: 'dashed' },
          ),
          curve(
            paint,
            'corners need',
            points((l) => l.flashes[at]?.needed),
            { width: 2.4 },
          ),
          curve(
            paint,
            'as set',
            points((l) => l.flashes[at]?.time),
            { dash: 'dotted', colour: paint.soft },
          ),
        ],
      }
    },
    [heat, at],
  )
  return (
    <Box mt="3">
      <Box fontSize="small" color="soft">
        Dwell after {name}: between the two lines it is right
      </Box>
      <Chart label={`Dwell after ${name} along the run`} draw={draw} height={HEIGHT} />
    </Box>
  )
}
