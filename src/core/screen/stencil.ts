import {
  because,
  type ChoiceAdvice,
  choiceOf,
  decideChoice,
  decideNumber,
  type NumberAdvice,
  numberOf,
  type Overrides,
  q,
  type Reason,
  ruleTable,
} from '../advice'
import type { Emulsion, ScreenRoom } from '../equipment'
import type { Film, Length, MeshCount } from '../quantity'
import { mm } from '../quantity'
import { fabricOf, opening } from './fabric'
import type { ScreenUse } from './mesh'

export const STENCIL_RULES = ruleTable({
  STENCIL_WATER: { says: '{name} stands water-based ink.', source: "the shop's choice" },
  STENCIL_ANY: {
    says: 'Plastisol: any emulsion stands it; the first on the list here.',
    source: 'common practice',
  },
  STENCIL_DISSOLVES: {
    says: '{ink} is water-based: under it {name} breaks down in the middle of the run. Take a water-resistant emulsion, a hardener, or expose once more after wash-out.',
    source: 'common practice',
    severity: 'Stop',
  },
  STENCIL_NONE: {
    says: 'No emulsion is entered for this shop: enter one at Shop, Stencils and light.',
    source: "the shop's choice",
    severity: 'Note',
  },
  COATS_TWO: { says: 'Two coats, one each side, dried face up in the dark.', source: 'common practice' },
  COATS_HIGH: { says: 'Expanding ink wants a high stencil: six or seven coats.', source: 'common practice' },
  COATS_FILM: {
    says: 'A film stencil has almost no emulsion over the mesh: go very low with the off-contact.',
    source: 'common practice',
  },
  BUILD_MESH: {
    says: '{coats} coats x {build} each over the mesh. The build of a coat is from memory: measure yours.',
    source: 'from memory',
  },
  BUILD_TARGET: {
    says: 'Wanted over {mesh}: {low} to {high}, a tenth to a fifth of the mesh thickness.',
    source: 'from memory',
  },
  BUILD_THIN: {
    says: '{name}: {build} over the mesh is less than {low}: edges print ragged. One more coat.',
    source: 'from memory',
    severity: 'Note',
  },
  LINE_LOST: {
    says: '{name}: the smallest line, {line}, is thinner than a mesh opening with its thread ({pitch}): it breaks up. A finer mesh holds it.',
    source: 'geometry',
    severity: 'Watch',
  },
})

export interface StencilNeed {
  readonly hitId: string
  readonly name: string
  readonly use: ScreenUse
  readonly waterBased: boolean
  readonly mesh: MeshCount
  /** Thinnest line of the film, as read; none when no film was read. */
  readonly line?: Length | undefined
}

/** What carries the image of one screen. */
export interface StencilAdvice {
  readonly emulsion: ChoiceAdvice
  readonly coats: NumberAdvice
  /** Emulsion over the mesh, metres. */
  readonly build: NumberAdvice
  readonly reasons: readonly Reason[]
}

const HIGH_COATS = { range: [6, 7], usual: 6 } as const
const USUAL_COATS = { range: [2, 3], usual: 2 } as const
const FILM_COATS = { range: [1, 1], usual: 1 } as const
const FILM_BUILD: Film = 2e-6
const NO_EMULSION = 'none'
/** Coats differ by hand: a third either way (from memory). */
const SPREAD = 1 / 3

/** The emulsion that is used for a stencil, if the shop has it. */
export const emulsionOf = (room: ScreenRoom, { emulsion }: StencilAdvice): Emulsion | undefined =>
  room.emulsions.find((e) => e.id === choiceOf(emulsion))

/** Emulsion, coats and what they build over the mesh, for one screen. */
export function stencilFor(need: StencilNeed, room: ScreenRoom, overrides: Overrides): StencilAdvice {
  const emulsion = emulsionFor(need, room, overrides)
  const chosen = room.emulsions.find((e) => e.id === choiceOf(emulsion))
  const film = chosen?.kind === 'thermal'
  const rule = film ? 'COATS_FILM' : need.use === 'expanding' ? 'COATS_HIGH' : 'COATS_TWO'
  const { range, usual } = film ? FILM_COATS : need.use === 'expanding' ? HIGH_COATS : USUAL_COATS
  const coats = decideNumber(
    {
      key: `coats.${need.hitId}`,
      label: `Coats, ${need.name}`,
      kind: 'count',
      advised: usual,
      range: [...range],
      reasons: [because(STENCIL_RULES, rule)],
    },
    overrides,
  )
  const fabric = fabricOf(room.fabrics, need.mesh)
  const each = film ? FILM_BUILD : (chosen?.build ?? 0)
  const built = each * numberOf(coats)
  const low = film ? 0 : fabric.thickness * 0.1
  const build = decideNumber(
    {
      key: `build.${need.hitId}`,
      label: `Over the mesh, ${need.name}`,
      kind: 'film',
      advised: built,
      range: [built * (1 - SPREAD), built * (1 + SPREAD)],
      reasons: [
        because(STENCIL_RULES, 'BUILD_MESH', { coats: q('count', numberOf(coats)), build: q('film', each) }),
        because(STENCIL_RULES, 'BUILD_TARGET', {
          mesh: q('meshCount', need.mesh),
          low: q('film', low),
          high: q('film', fabric.thickness * 0.2),
        }),
      ],
    },
    overrides,
  )
  const reasons: Reason[] = []
  if (chosen && numberOf(build) < low * (1 - SPREAD))
    reasons.push(
      because(STENCIL_RULES, 'BUILD_THIN', {
        name: need.name,
        build: q('film', numberOf(build)),
        low: q('film', low),
      }),
    )
  const pitch = opening(fabric) + fabric.thread
  if (need.line !== undefined && need.line < pitch)
    reasons.push(
      because(STENCIL_RULES, 'LINE_LOST', {
        name: need.name,
        line: q('fine', need.line),
        pitch: q('fine', pitch),
      }),
    )
  return { emulsion, coats, build, reasons }
}

function emulsionFor(need: StencilNeed, room: ScreenRoom, overrides: Overrides): ChoiceAdvice {
  const fits = (e: Emulsion) => !need.waterBased || e.water === 'resistant'
  const advised = room.emulsions.find(fits) ?? room.emulsions[0]
  const key = `emulsion.${need.hitId}`
  const chosen = room.emulsions.find((e) => e.id === overrides[key]) ?? advised
  const why = () => {
    if (!chosen) return because(STENCIL_RULES, 'STENCIL_NONE')
    if (!fits(chosen))
      return because(STENCIL_RULES, 'STENCIL_DISSOLVES', { ink: need.name, name: chosen.name })
    return need.waterBased
      ? because(STENCIL_RULES, 'STENCIL_WATER', { name: chosen.name })
      : because(STENCIL_RULES, 'STENCIL_ANY')
  }
  const choices = room.emulsions.map((e) => ({ value: e.id, label: e.name }))
  return decideChoice(
    {
      key,
      label: `Emulsion, ${need.name}`,
      kind: 'choice',
      advised: advised?.id ?? NO_EMULSION,
      choices: choices.length > 0 ? choices : [{ value: NO_EMULSION, label: 'none entered' }],
      reasons: [why()],
    },
    overrides,
  )
}

/** The thinnest line a mesh is asked to carry when none was read: coarse detail starts above this. */
export const FINE_DETAIL: Length = mm(0.5)
