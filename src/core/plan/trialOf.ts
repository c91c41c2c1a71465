import { choiceOf, type NumberAdvice, numberOf } from '../advice'
import { driesInScreen, isPolyester, meetings, toneOf } from '../order'
import type { TrialEvent, TrialFlash, TrialPlan, TrialScreen } from '../rehearsal'
import { stopOf } from './heatRound'
import { heatOf } from './runHeat'
import type { HitPlan, RunPlan } from './runPlan'
import { wetGroupsOf } from './wetGroupsOf'

const CELSIUS = 273.15
const MICRON = 1e6
const MM = 1000
/** Lines to the inch of lines to the metre. */
const PER_INCH = 0.0254
const DEGREES = 180 / Math.PI
/** Screens that nobody read are as tight as a good one, N/cm. */
const TIGHT = 25
/** Seconds from print to print by hand where no pace is known, and of a film to the next print. */
const PACE = 30
const COOLS = { hand: 18, automatic: 10 } as const
/** Pieces after which ink is scooped back, at the latest. */
const SCOOPED = 28
/** What a mesh whose opening is not told has, micrometres. */
const OPENING = 64

const quantity = (x: unknown): number | undefined =>
  typeof x === 'object' && x !== null && 'value' in x && typeof x.value === 'number' ? x.value : undefined

/**
 * A plan as the simulated press takes it: what is not planned stands as usual. None where nothing can be printed.
 */
export function trialOf(plan: RunPlan): TrialPlan | undefined {
  const { press, run, cloth, cure, time, ambient, rounds } = plan
  if (!plan.sequence.fits || plan.hits.length === 0) return undefined
  const hand = press.kind !== 'automatic'
  const boards =
    press.kind === 'manual' ? press.pallets : press.kind === 'automatic' ? press.stations.length + 2 : 1
  const wet = wetGroupsOf(plan)
  const screens = plan.hits.map((h) => screenOf(plan, h, wet))
  const flashes = flashesOf(plan)
  const events = plan.sequence.cells.flatMap((c): readonly TrialEvent[] => {
    if (c.kind === 'print') {
      const screen = plan.hits.findIndex((h) => h.hit.id === c.hitId)
      return screen < 0 ? [] : [{ kind: 'print', screen }]
    }
    return c.kind === 'flash' && flashes[c.flash] ? [{ kind: 'flash', flash: c.flash }] : []
  })
  const target = numberOf(cure.inkFilm) - CELSIUS
  const wanted = cure.inkFilm.advised - CELSIUS
  const choke = run.placement.choke
  return {
    ...{ hand, boards, screens, flashes, events },
    aluminium: 'palletMaterial' in press && press.palletMaterial === 'aluminium',
    pieces: run.quantity,
    pace: time ? 1 / numberOf(time.rate) : PACE,
    air: numberOf(ambient.air) - CELSIUS,
    cure: {
      target: wanted,
      limit: Math.max(wanted + 10, cure.inkFilm.range[1] - CELSIUS),
      seconds: Math.max(20, numberOf(cure.dwell)),
      low: wanted < 145,
      ...(Math.abs(target - wanted) > 0.5 && { set: target }),
    },
    ...(screens.some((s) => s.role === 'base') && { choke: (choke ?? 0.0003) * MM }),
    cloth: {
      hex: cloth.hex,
      dark: toneOf(cloth) === 'dark',
      polyester: isPolyester(cloth),
      fibre: cloth.weave === 'fleece' ? 0.62 : cloth.weave === 'canvas' ? 0.5 : 0.42,
    },
    cover: plan.secondWhite.reasons.some((r) => r.rule === 'WHITE_SHORT') ? 0.82 : 1,
    tackEvery: rounds.tack ? Math.max(2, Math.round(numberOf(rounds.tack) / boards)) : 12,
    // Ink that crept back is scooped in front of the blade before it shows.
    inkEvery: Math.min(SCOOPED, rounds.ink ? Math.max(8, Math.round(numberOf(rounds.ink))) : SCOOPED),
    timer: plan.flashes.every((f) => f.unit?.mount === 'timed' || press.kind === 'automatic'),
  }
}

function roleOf(plan: RunPlan, h: HitPlan): TrialScreen['role'] {
  const type = plan.run.placement.inks.find((i) => i.id === h.hit.id)?.inkType
  if (h.hit.role === 'smoothing') return 'smoothing'
  if (h.hit.role === 'base' || h.hit.role === 'base2') return 'base'
  if (type === 'metallic') return 'metallic'
  if (type === 'expanding') return 'expander'
  if (type === 'white') return 'white'
  return type === 'black' ? 'black' : 'top'
}

function screenOf(plan: RunPlan, h: HitPlan, wet: readonly (readonly HitPlan[])[]): TrialScreen {
  const ink = plan.run.placement.inks.find((i) => i.id === h.hit.id)
  const role = roleOf(plan, h)
  const told = h.mesh.reasons.find((r) => r.rule === 'MESH_DEPOSIT')?.inputs.opening
  const opening = (quantity(told) ?? OPENING / MICRON) * MICRON
  const { overlap, dominance, whiteUnder } = wetUnder(plan, h, wet)
  return {
    id: h.hit.id,
    name: h.hit.name,
    role,
    hex: h.hex,
    // What the plan prints well with is what it wants: the plan is the measure of its own press.
    ...{ opening, wanted: opening * 0.9 },
    tension: h.frame ? h.frame.tension / 100 : TIGHT,
    gap: numberOf(plan.offContact) * MM,
    angle: numberOf(h.stroke.angle) * DEGREES,
    hardness: Number.parseInt(choiceOf(h.stroke.squeegee), 10) || 70,
    strokes: numberOf(h.stroke.strokes),
    ...(ink?.ruling && { ruling: ink.ruling * PER_INCH }),
    waterBased: driesInScreen(h.hit.system),
    ...(ink?.particle && { particle: ink.particle * MICRON }),
    ...{ overlap, dominance },
    coverage: h.hit.coverage,
    blackOnWhite: role === 'black' && whiteUnder,
  }
}

/** What of the wet colours before it a screen lies on. */
function wetUnder(plan: RunPlan, h: HitPlan, wet: readonly (readonly HitPlan[])[]) {
  const group = wet.find((g) => g.includes(h)) ?? []
  const before = group.slice(0, group.indexOf(h)).filter((b) => b.hit.role !== 'smoothing')
  const meets = (a: string, b: string) =>
    meetings(plan.run.placement.relations).find(
      (r) => [r.a, r.b].includes(a) && [r.a, r.b].includes(b) && r.how !== 'touch',
    )
  let [overlap, dominance] = [0, 0]
  for (const b of before) {
    const meeting = meets(b.hit.id, h.hit.id)
    // Colours that only touch still wet the back of the next screen at their rims.
    const share = meeting ? Math.min(b.hit.coverage, h.hit.coverage) / Math.max(0.05, h.hit.coverage) : 0.08
    if (share * 0.5 > overlap) {
      overlap = Math.min(0.5, share * 0.5)
      dominance = (100 - b.hit.L) / 130
    }
  }
  return { overlap, dominance, whiteUnder: before.some((b) => b.hit.L > 85 && meets(b.hit.id, h.hit.id)) }
}

/** Flashes with what boards at 45 C need by the model of heat: the plan's own dwell against it is what a rehearsal shows. */
function flashesOf(plan: RunPlan): readonly TrialFlash[] {
  const heat = heatOf(plan)
  const end = heat?.laps.at(-1)
  const hand = plan.press.kind !== 'automatic'
  let at = -1
  return plan.flashes.map((f) => {
    const seconds = numberOf(f.dwell)
    if (f.unit) at += 1
    const along = f.unit ? end?.flashes[at] : undefined
    // By the board that it was worked out on, to 45 C.
    const followed = end ? Math.max(0.4, 1 - 0.0115 * (end.board - CELSIUS - 45)) : 1
    const needed = along?.needed === undefined ? seconds / 1.1 : along.needed / followed
    const stop = plan.time ? stopOf(plan, plan.time) : COOLS.automatic
    return {
      quartz: f.unit?.kind === 'quartz',
      dwell: along ? seconds / followed : seconds,
      needed: Math.max(1, needed),
      cool: Math.max(3, coolOf(plan.coolDown, stop, hand)),
    }
  })
}

/** Seconds a film cools before the next print: as waited by hand, or by the empty stations of an automatic. */
function coolOf(cool: NumberAdvice | undefined, stop: number, hand: boolean): number {
  if (cool?.kind === 'duration') return numberOf(cool)
  if (cool?.kind === 'count') return stop * (1 + numberOf(cool))
  return hand ? COOLS.hand : COOLS.automatic
}
