import { wcagContrast } from 'culori'
import { describe, expect, it } from 'vitest'
import { TONES } from './system'

/** WCAG 2.2, success criterion 1.4.3: text of any size. Computed by culori, of the registry. */
const TEXT = 4.5
type Tone = keyof typeof TONES

/** What is written on what. */
const WRITTEN: readonly (readonly [on: Tone, text: readonly Tone[]])[] = [
  ...(['surround', 'work', 'rail', 'raised'] as const).map((on) => [on, ['ink', 'soft']] as const),
  ['ink', ['work', 'surround', 'raised']],
  ['paper', ['onPaper']],
  ['paperShade', ['onPaper']],
]

describe.each(['by day', 'in the dark', 'under a safelight'].map((mode, at) => [mode, at] as const))(
  '%s',
  (_, at) => {
    it.each(WRITTEN.flatMap(([on, texts]) => texts.map((text) => [text, on] as const)))(
      '%s can be read on %s',
      (text, on) =>
        expect(wcagContrast(TONES[text][at] ?? '', TONES[on][at] ?? '')).toBeGreaterThanOrEqual(TEXT),
    )
  },
)

it('nothing of a safelight has blue in it', () => {
  for (const [name, [, , safelight]] of Object.entries(TONES)) expect(safelight.slice(5), name).toBe('00')
})

it('by day and in the dark nothing has a hue', () => {
  for (const [name, modes] of Object.entries(TONES))
    for (const tone of modes.slice(0, 2))
      expect(new Set(tone.slice(1).match(/../g)).size, `${name} ${tone}`).toBe(1)
})
