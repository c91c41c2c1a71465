import { type Advice, message, type Reason, settled } from '@/core/advice'
import { type Besides, COST_PARTS, type RunPlan } from '@/core/plan'
import { keysOf, shownUnit, showQuantity } from '@/core/quantity'

const reasonOut = (r: Reason) => ({
  rule: r.rule,
  says: message(r, 'metric'),
  source: r.source,
  ...(r.severity === undefined ? {} : { severity: r.severity }),
})

/** An advice with its values in the unit named beside them, metric. */
function adviceOut(a: Advice) {
  const common = { key: a.key, label: a.label, why: a.reasons.map(reasonOut) }
  if (a.kind === 'choice')
    return { ...common, value: settled(a), advised: a.advised, choices: a.choices.map((c) => c.value) }
  const unit = shownUnit(a.kind, 'metric')
  const inUnit = (x: number) => Number(((x - (unit.offset ?? 0)) / unit.factor).toPrecision(8))
  return {
    ...common,
    value: inUnit(a.chosen ?? a.advised),
    advised: inUnit(a.advised),
    range: a.range.map(inUnit),
    unit: showQuantity(a.kind, 0, 'metric').unit,
  }
}

const maybe = <K extends string>(name: K, a: Advice | undefined) =>
  a === undefined ? {} : ({ [name]: adviceOut(a) } as Record<K, ReturnType<typeof adviceOut>>)

const minutesOf = (seconds: number) => Number((seconds / 60).toFixed(1))

/** What is told beside a plan: of one as it is now, not of a revision. */
const besidesOut = ({ prints, ways, costs, finish }: Besides) => ({
  prints,
  ways: ways.map(({ wetRisk, time, ...w }) => ({
    ...w,
    wetRisk: Number(wetRisk.toFixed(1)),
    ...(time === undefined ? {} : { minutes: minutesOf(time) }),
  })),
  ...(costs && {
    costs: Object.fromEntries(
      [...keysOf(COST_PARTS), 'total' as const, 'piece' as const].map((k) => [
        k,
        Number(costs[k].toFixed(2)),
      ]),
    ),
  }),
  ...(finish && {
    finishMinutes: {
      half: minutesOf(finish.half),
      eighty: minutesOf(finish.eighty),
      ninetyFive: minutesOf(finish.most),
    },
  }),
})

/** A run plan as plain JSON: `orvint-plan`, version 1. */
export const planOut = (p: RunPlan, besides?: Besides) => ({
  format: 'orvint-plan',
  version: 1,
  run: {
    id: p.run.id,
    placement: p.run.placement.id,
    ...(p.run.placement.choke === undefined ? {} : { chokeMm: p.run.placement.choke * 1000 }),
    pieces: p.run.quantity,
    why: p.run.reasons.map(reasonOut),
  },
  press: adviceOut(p.pressAdvice),
  bases: p.colours.map((c) => ({ ink: c.inkId, ...adviceOut(c.base) })),
  secondWhite: adviceOut(p.secondWhite),
  ...maybe('baseCoverage', p.baseCoverage),
  sequence: {
    fits: p.sequence.fits,
    byHand: p.sequence.byHand,
    laps: p.sequence.laps,
    wetRiskOf: Number(p.sequence.wetRisk.toFixed(1)),
    moves: p.sequence.moves,
    places: p.sequence.cells.map((c) => {
      const station = 'station' in c && c.station !== undefined ? { station: c.station } : {}
      const what = c.kind === 'print' ? { hit: c.hitId } : c.kind === 'flash' ? { flash: c.flash + 1 } : {}
      const lap = c.lap === undefined ? {} : { lap: c.lap }
      return { does: c.kind, ...station, ...lap, ...what }
    }),
    why: p.sequence.reasons.map(reasonOut),
  },
  hits: p.hits.map((h) => ({
    id: h.hit.id,
    name: h.hit.name,
    role: h.hit.role,
    frame: h.frame?.id ?? null,
    ...(h.head === undefined ? {} : { head: h.head }),
    emulsion: adviceOut(h.stencil.emulsion),
    coats: adviceOut(h.stencil.coats),
    ...maybe('exposure', h.exposure?.time),
    mesh: adviceOut(h.mesh),
    squeegee: adviceOut(h.stroke.squeegee),
    edge: adviceOut(h.stroke.edge),
    angle: adviceOut(h.stroke.angle),
    pressure: adviceOut(h.stroke.pressure),
    ...maybe('gauge', h.stroke.gauge),
    strokeTime: adviceOut(h.stroke.time),
    strokes: adviceOut(h.stroke.strokes),
    flood: adviceOut(h.stroke.flood),
    ...maybe('deposit', h.deposit),
    ...maybe('ink', h.ink),
    why: h.reasons.map(reasonOut),
  })),
  flashes: p.flashes.map((f) => ({
    unit: f.unit?.name ?? null,
    dwell: adviceOut(f.dwell),
    ...(f.cold !== undefined && { coldSeconds: f.cold }),
    why: f.reasons.map(reasonOut),
  })),
  ...maybe('flashHeight', p.flashHeight),
  ...maybe('panelTemperature', p.panelTemperature),
  ...maybe('coolDown', p.coolDown),
  ambient: { air: adviceOut(p.ambient.air), humidity: adviceOut(p.ambient.humidity) },
  offContact: adviceOut(p.offContact),
  squeegeeLength: adviceOut(p.squeegeeLength),
  ...maybe('direction', p.direction),
  ...(p.hold && {
    hold: {
      time: adviceOut(p.hold.time),
      angle: adviceOut(p.hold.angle),
      ...maybe('gauge', p.hold.gauge),
      offContact: adviceOut(p.hold.offContact),
      stray: adviceOut(p.hold.stray),
    },
  }),
  cure: {
    inkFilm: adviceOut(p.cure.inkFilm),
    dwell: adviceOut(p.cure.dwell),
    ...maybe('dryer', p.cure.dryer),
    ...maybe('belt', p.cure.belt),
  },
  placement: {
    from: p.placement.origin,
    groups: p.placement.groups.map((g) => ({
      group: g.group,
      sizes: g.sizes,
      down: adviceOut(g.down),
      ...maybe('side', g.side),
    })),
  },
  ...(p.time && {
    time: {
      crew: adviceOut(p.time.crew),
      skill: adviceOut(p.time.skill),
      firstPrints: p.time.first,
      setup: adviceOut(p.time.setup),
      rate: adviceOut(p.time.rate),
      total: adviceOut(p.time.total),
    },
  }),
  ...(besides && besidesOut(besides)),
  warnings: p.warnings.map(reasonOut),
})
