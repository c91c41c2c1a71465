import { q, type Reason } from '../advice'
import { type Film, micron } from '../quantity'
import { PLAN } from './definition'
import { lapStripShape } from './lapStripShape'
import type { RunPlan } from './runPlan'

/** Words of the trade for how a print feels, by its thickest place (from memory; a shop's own hand decides). */
const HANDS = [
  { word: 'soft', under: micron(25) },
  { word: 'felt', under: micron(60) },
  { word: 'heavy', under: micron(140) },
  { word: 'a plate', under: Number.POSITIVE_INFINITY },
] as const

/** How a print feels: the word, and the thickness that it stands for; nothing where no ink lies on the cloth. */
export function handOf(
  plan: RunPlan,
): { readonly word: string; readonly film: Film; readonly reasons: readonly Reason[] } | undefined {
  const film = lapStripShape(plan).tallest
  if (!(film > 0)) return undefined
  const word = HANDS.find((h) => film < h.under)?.word ?? 'a plate'
  return { word, film, reasons: [PLAN.because('HAND', { word, film: q('thickness', film) })] }
}
