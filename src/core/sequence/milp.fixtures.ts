import type { Job, Ring } from './hit'
import { mountingMoves, standingMoves } from './moves'
import { buildTables, COST, FORBIDDEN } from './tables'

/**
 * The same question as a mixed integer program, for a solver that knows nothing of printing: which hit at which station,
 * where the flashes stand, which pair is wet and which is dried. One revolution; jobs without smoothing screen and expanding
 * ink. Gaps that only keep a layout compact are left out: they cost less than 1000 together.
 *
 * @returns a model in the LP format
 */
export function milpOf(job: Job, ring: Ring): string {
  const t = buildTables(job, true)
  const stations = ring.stations.map((s, i) => ({ ...s, i }))
  const hits = job.hits.map((_, i) => i)
  const pairs = hits.flatMap((i) => hits.filter((j) => j !== i).map((j) => [i, j] as const))
  const big = stations.length + 1
  const [x, f, y, dry, hot] = [
    (i: number, s: number) => `x_${i}_${s}`,
    (s: number) => `f_${s}`,
    (i: number, j: number) => `y_${i}_${j}`,
    (i: number, j: number) => `d_${i}_${j}`,
    (s: number) => `h_${s}`,
  ]
  const place = (i: number, sign: string) => stations.map((s) => `${sign} ${s.i} ${x(i, s.i)}`).join(' ')
  const lines: string[] = []
  const rule = (text: string) => lines.push(` c${lines.length}: ${text}`)
  for (const i of hits) rule(`${stations.map((s) => x(i, s.i)).join(' + ')} = 1`)
  for (const s of stations) {
    rule(`${hits.map((i) => x(i, s.i)).join(' + ')} + ${f(s.i)} <= 1`)
    if (!s.usable) for (const i of hits) rule(`${x(i, s.i)} = 0`)
    if (!s.flashAllowed) rule(`${f(s.i)} = 0`)
  }
  rule(`${stations.map((s) => f(s.i)).join(' + ')} <= ${ring.flashUnits}`)
  for (const [i, j] of pairs) {
    if (i < j) rule(`${y(i, j)} + ${y(j, i)} = 1`)
    rule(`${place(j, '+')} ${place(i, '-')} - ${big} ${y(i, j)} >= ${1 - big}`)
    // g_i counts the flashes before i.
    rule(`${dry(i, j)} - ${y(i, j)} <= 0`)
    rule(`${dry(i, j)} - g_${j} + g_${i} + ${big} ${y(i, j)} <= ${big}`)
    rule(`g_${j} - g_${i} - ${big} ${dry(i, j)} + ${big} ${y(i, j)} <= ${big}`)
    const pair = t.pair[i]?.[j]
    if (!pair) continue
    if (pair.wet >= FORBIDDEN) rule(`${y(i, j)} - ${dry(i, j)} = 0`)
    if (pair.dry >= FORBIDDEN) rule(`${dry(i, j)} = 0`)
  }
  for (const i of hits)
    for (const s of stations) {
      const before = stations.filter((o) => o.i < s.i).map((o) => f(o.i))
      const count = before.length > 0 ? `- ${before.join(' - ')}` : ''
      rule(`g_${i} ${count} + ${big} ${x(i, s.i)} <= ${big}`)
      rule(`g_${i} ${count} - ${big} ${x(i, s.i)} >= ${-big}`)
    }
  // A print too soon after a flash: at s while one stands at o and fewer than `cool` places lie between.
  for (const s of stations)
    for (let back = 1; back <= ring.cool; back++) {
      if (s.i - back < 0) continue
      const between = stations.filter((o) => o.i > s.i - back && o.i < s.i)
      const occupied = between.flatMap((o) => hits.map((i) => ` - ${x(i, o.i)}`)).join('')
      const weight = ring.cool - back + 1
      rule(
        `${hot(s.i)} ${hits.map((i) => `- ${weight} ${x(i, s.i)}`).join(' ')} - ${weight} ${f(s.i - back)}${occupied.replaceAll(' - ', ` + ${weight} `)} >= ${-weight}`,
      )
    }
  const wetRisk = pairs.flatMap(([i, j]) => {
    const pair = t.pair[i]?.[j]
    if (!pair) return []
    const [wet, dried] = [pair.wet >= FORBIDDEN ? 0 : pair.wet, pair.dry >= FORBIDDEN ? 0 : pair.dry]
    const more = dried - wet
    return [`+ ${wet} ${y(i, j)}`, `${more < 0 ? '-' : '+'} ${Math.abs(more)} ${dry(i, j)}`]
  })
  const goal = [
    ...stations.map((s) => `+ ${(COST.flash + COST.move * standingMoves(ring, s.i)) / 1000} ${f(s.i)}`),
    ...stations.flatMap((s) =>
      job.hits.map((h, i) => `+ ${(COST.move * mountingMoves(s, h.id)) / 1000} ${x(i, s.i)}`),
    ),
    ...stations.map((s) => `+ ${COST.missingCool / 1000} ${hot(s.i)}`),
    ...wetRisk.map((m) => m.replace(/ (\d+) /, (_, n) => ` ${Number(n) / 1000} `)),
  ]
  const binaries = [
    ...hits.flatMap((i) => stations.map((s) => x(i, s.i))),
    ...stations.map((s) => f(s.i)),
    ...pairs.flatMap(([i, j]) => [y(i, j), dry(i, j)]),
  ]
  return [
    'Minimize',
    ` cost: ${goal.join('\n ')}`,
    'Subject To',
    ...lines,
    'Bounds',
    ...hits.map((i) => ` 0 <= g_${i} <= ${ring.flashUnits}`),
    ...stations.map((s) => ` 0 <= ${hot(s.i)} <= ${ring.cool}`),
    'Binary',
    ` ${binaries.join('\n ')}`,
    'End',
  ].join('\n')
}
