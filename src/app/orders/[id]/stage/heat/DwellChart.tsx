import { Box } from '@chakra-ui/react'
import { useCallback } from 'react'
import type { Lap } from '@/core/heat'
import type { RunHeat } from '@/core/plan'
import { Chart, type ChartPaint } from '@/ui/Chart'

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
    ({ ink, soft, rule, text }: ChartPaint) => {
      const points = (of: (lap: Lap) => number | undefined) =>
        heat.laps.map((lap, i) => [i * heat.pallets + 1, of(lap) ?? null])
      const line = (label: string, data: unknown, type: string, width: number, colour: string) => ({
        type: 'line',
        name: label,
        data,
        symbol: 'none',
        silent: true,
        lineStyle: { color: colour, width, type },
        endLabel: { show: true, formatter: label, ...text, color: colour },
        labelLayout: { moveOverlap: 'shiftY' },
      })
      return {
        grid: { left: 46, right: 128, top: 26, bottom: 40 },
        xAxis: {
          type: 'value',
          min: 1,
          max: Math.max(2, (heat.laps.length - 1) * heat.pallets + 1),
          name: 'garment',
          nameLocation: 'middle',
          nameGap: 24,
          nameTextStyle: { ...text, color: soft },
          axisLabel: { ...text, color: soft, hideOverlap: true },
          splitLine: { show: false },
          axisLine: { lineStyle: { color: soft } },
          axisTick: { lineStyle: { color: soft } },
        },
        yAxis: {
          type: 'value',
          min: 0,
          name: 's',
          nameTextStyle: { ...text, color: soft },
          axisLabel: { ...text, color: soft },
          splitLine: { lineStyle: { color: rule } },
          axisLine: { show: false },
          axisTick: { show: false },
        },
        series: [
          line(
            'middle closes',
            points((l) => l.flashes[at]?.limit),
            'dashed',
            1.6,
            ink,
          ),
          line(
            'corners need',
            points((l) => l.flashes[at]?.needed),
            'solid',
            2.4,
            ink,
          ),
          line(
            'as set',
            points((l) => l.flashes[at]?.time),
            'dotted',
            1.6,
            soft,
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
