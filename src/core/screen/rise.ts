import { type ChoiceAdvice, type Overrides, q, type Reason } from '../advice'
import { type Length, mm } from '../quantity'
import { SCREEN } from './definition'

/** How high a raised ink is wanted (common practice for usual and extreme, subtle from memory). */
export const RISES = {
  subtle: 'Rises a little',
  usual: 'Rises as usual',
  extreme: 'Rises as high as it goes',
} as const
export type Rise = keyof typeof RISES

/** What each height asks of the screen. */
export const OF_RISE = {
  subtle: { rule: 'MESH_RISE_SUBTLE', mesh: [43, 61, 77], coats: [2, 2, 4], line: mm(0.5), gap: mm(0.8) },
  usual: { rule: 'MESH_EXPANDING', mesh: [21, 43, 43], coats: [6, 6, 7], line: mm(1), gap: mm(1.5) },
  extreme: { rule: 'MESH_RISE_EXTREME', mesh: [21, 21, 34], coats: [6, 7, 8], line: mm(1.5), gap: mm(2.5) },
} as const satisfies Record<Rise, unknown>

/** How high a raised ink is to stand: the lead says so. */
export const riseFor = (of: { readonly id: string; readonly name: string }, overrides: Overrides) =>
  SCREEN.choice(
    'rise',
    {
      of,
      advised: 'usual',
      choices: (Object.keys(RISES) as Rise[]).map((value) => ({ value, label: RISES[value] })),
      reasons: [SCREEN.because('RISE_USUAL')],
    },
    overrides,
  ) as ChoiceAdvice<Rise>

/** What is too thin to stand up, or so narrow that it swells shut; nothing where no film was read. */
export function detailRises(
  name: string,
  rise: Rise,
  { line, gap }: { readonly line?: Length | undefined; readonly gap?: Length | undefined },
): readonly Reason[] {
  const least = OF_RISE[rise]
  const thin = line !== undefined && line < least.line
  const shuts = gap !== undefined && gap < least.gap
  return [
    ...(thin
      ? [SCREEN.because('RISE_LINE', { name, line: q('fine', line), least: q('fine', least.line) })]
      : []),
    ...(shuts
      ? [SCREEN.because('RISE_GAP', { name, gap: q('fine', gap), least: q('fine', least.gap) })]
      : []),
  ]
}
