import {
  type ChoiceAdvice,
  choiceOf,
  type NumberAdvice,
  numberOf,
  type Overrides,
  q,
  type Reason,
  settingKey,
} from '../advice'
import type { Emulsion, ScreenRoom } from '../equipment'
import type { Film, Length, MeshCount } from '../quantity'
import { mm } from '../quantity'
import { SCREEN } from './definition'
import { fabricOf, opening } from './fabric'
import type { ScreenUse } from './mesh'
import { OF_RISE, type Rise } from './rise'

export interface StencilNeed {
  readonly hitId: string
  readonly name: string
  readonly use: ScreenUse
  readonly driesInScreen: boolean
  /** How high a raised ink is wanted. */
  readonly rise?: Rise | undefined
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

const USUAL_COATS = [2, 2, 3] as const
const FILM_COATS = [1, 1, 1] as const
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
  const [least, usual, most] = film
    ? FILM_COATS
    : need.use === 'expanding'
      ? OF_RISE[need.rise ?? 'usual'].coats
      : USUAL_COATS
  const of = { id: need.hitId, name: need.name }
  const coats = SCREEN.number(
    'coats',
    {
      of,
      advised: usual,
      range: [least, most],
      reasons: [SCREEN.because(rule)],
    },
    overrides,
  )
  const fabric = fabricOf(room.fabrics, need.mesh)
  const each = film ? FILM_BUILD : (chosen?.build ?? 0)
  const built = each * numberOf(coats)
  const low = film ? 0 : fabric.thickness * 0.1
  const build = SCREEN.number(
    'build',
    {
      of,
      advised: built,
      range: [built * (1 - SPREAD), built * (1 + SPREAD)],
      reasons: [
        SCREEN.because('BUILD_MESH', { coats: q('count', numberOf(coats)), build: q('thickness', each) }),
        SCREEN.because('BUILD_TARGET', {
          mesh: q('meshCount', need.mesh),
          low: q('thickness', low),
          high: q('thickness', fabric.thickness * 0.2),
        }),
      ],
    },
    overrides,
  )
  const reasons: Reason[] = []
  if (chosen && numberOf(build) < low * (1 - SPREAD))
    reasons.push(
      SCREEN.because('BUILD_THIN', {
        name: need.name,
        build: q('thickness', numberOf(build)),
        low: q('thickness', low),
      }),
    )
  const pitch = opening(fabric) + fabric.thread
  if (need.line !== undefined && need.line < pitch)
    reasons.push(
      SCREEN.because('LINE_LOST', {
        name: need.name,
        line: q('fine', need.line),
        pitch: q('fine', pitch),
      }),
    )
  return { emulsion, coats, build, reasons }
}

function emulsionFor(need: StencilNeed, room: ScreenRoom, overrides: Overrides): ChoiceAdvice {
  const fits = (e: Emulsion) => !need.driesInScreen || e.water === 'resistant'
  const advised = room.emulsions.find(fits) ?? room.emulsions[0]
  const of = { id: need.hitId, name: need.name }
  const chosen = room.emulsions.find((e) => e.id === overrides[settingKey('emulsion', of)]) ?? advised
  const why = () => {
    if (!chosen) return SCREEN.because('STENCIL_NONE')
    if (!fits(chosen)) return SCREEN.because('STENCIL_DISSOLVES', { ink: need.name, name: chosen.name })
    return need.driesInScreen
      ? SCREEN.because('STENCIL_WATER', { name: chosen.name })
      : SCREEN.because('STENCIL_ANY')
  }
  const choices = room.emulsions.map((e) => ({ value: e.id, label: e.name }))
  return SCREEN.choice(
    'emulsion',
    {
      of,
      advised: advised?.id ?? NO_EMULSION,
      choices: choices.length > 0 ? choices : [{ value: NO_EMULSION, label: 'none entered' }],
      reasons: [why()],
    },
    overrides,
  )
}

/** Of the mesh's thickness: under this a stencil is thin (from memory; a twentieth). */
const THIN = 0.05

/** Whether a stencil stands hardly over its mesh: a film stencil, or too few coats. Off-contact and flood follow. */
export const isThin = ({ build }: StencilAdvice, mesh: MeshCount, { fabrics }: ScreenRoom): boolean =>
  numberOf(build) < fabricOf(fabrics, mesh).thickness * THIN

/** The thinnest line a mesh is asked to carry when none was read: coarse detail starts above this. */
export const FINE_DETAIL: Length = mm(0.5)
