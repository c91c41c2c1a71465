import { format, parseISO, startOfWeek } from 'date-fns'
import { useCallback } from 'react'
import type { Account } from '@/core/plan'
import { keysOf, sayDay } from '@/core/quantity'
import { SPOILED_BY } from '@/core/record'
import { Chart, type ChartPaint } from '@/ui/Chart'
import { useSettings } from '@/ui/settings'
import { axes } from './axes'

/** So many causes are told apart; the rest is one. */
const TOLD = 4
/** Greys and hatches tell them apart where colours may not. */
const looks = ({ ink, soft, rule, raised }: ChartPaint) => [
  { color: ink },
  { color: soft },
  { color: raised, borderColor: ink, borderWidth: 1 },
  { color: rule },
  { color: raised, borderColor: soft, borderWidth: 1, borderType: 'dashed' },
]

/** Spoiled pieces by week, the causes on top of each other. */
export function SpoilsChart({ accounts }: { readonly accounts: readonly Account[] }) {
  const { units } = useSettings()
  const draw = useCallback(
    (paint: ChartPaint) => {
      const weekStartsOn = units.weekFrom === 7 ? 0 : 1
      const weekOf = (a: Account) => format(startOfWeek(parseISO(a.on), { weekStartsOn }), 'yyyy-MM-dd')
      const weeks = [...new Set(accounts.map(weekOf))].sort()
      const total = (cause: keyof typeof SPOILED_BY) =>
        accounts.reduce((sum, a) => sum + (a.causes[cause] ?? 0), 0)
      const causes = keysOf(SPOILED_BY)
        .filter((c) => total(c) > 0)
        .sort((a, b) => total(b) - total(a))
      const groups = [
        ...causes.slice(0, TOLD).map((c) => ({ name: SPOILED_BY[c], of: [c] })),
        ...(causes.length > TOLD ? [{ name: 'Everything else', of: causes.slice(TOLD) }] : []),
      ]
      return {
        grid: { left: 40, right: 20, top: 66, bottom: 26 },
        legend: {
          data: groups.map((g) => g.name),
          top: 0,
          left: 0,
          borderColor: paint.rule,
          textStyle: paint.text,
        },
        xAxis: { type: 'category', data: weeks.map((w) => sayDay(w, 'd MMM', units)), ...axes(paint) },
        yAxis: { type: 'value', minInterval: 1, ...axes(paint) },
        series: groups.map((g, i) => ({
          type: 'bar',
          name: g.name,
          stack: 'spoils',
          silent: true,
          barMaxWidth: 44,
          itemStyle: looks(paint)[i],
          data: weeks.map((w) =>
            accounts
              .filter((a) => weekOf(a) === w)
              .reduce((sum, a) => sum + g.of.reduce((n, c) => n + (a.causes[c] ?? 0), 0), 0),
          ),
        })),
      }
    },
    [accounts, units],
  )
  return <Chart label="Spoiled pieces by week and cause" draw={draw} height={240} />
}
