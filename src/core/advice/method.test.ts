import { expect, it } from 'vitest'
import { DEFAULT_METHOD, optionWords, PRACTICES } from './method'

it('every question has at least two practices, each with what it costs or gives, and a default', () => {
  for (const [practice, { question, options }] of Object.entries(PRACTICES)) {
    expect(question.length, practice).toBeGreaterThan(3)
    expect(Object.keys(options).length, practice).toBeGreaterThanOrEqual(2)
    expect(Object.keys(options), practice).toContain(DEFAULT_METHOD[practice as keyof typeof DEFAULT_METHOD])
    expect(new Set(Object.values(options)).size, practice).toBe(Object.keys(options).length)
  }
})

it('options are told in the reader’s units', () => {
  expect(optionWords('placement', 'palm', 'metric')).toMatch(/^A palm, 100 mm: /)
  expect(optionWords('placement', 'palm', 'inch')).toMatch(/^A palm, 3 7\/8 in: /)
  expect(optionWords('cureTemperature', 'standard', 'inch')).toBe('320 °F: the usual cure')
  for (const [practice, { options }] of Object.entries(PRACTICES))
    for (const option of Object.keys(options))
      expect(optionWords(practice as keyof typeof PRACTICES, option, 'inch')).not.toMatch(
        /[{}]|NaN|undefined/,
      )
})
