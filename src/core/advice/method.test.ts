import { expect, it } from 'vitest'
import { DEFAULT_METHOD, optionWords, SCHOOLS } from './method'

it('every question has at least two schools, each with what it costs or gives, and a default', () => {
  for (const [school, { question, options }] of Object.entries(SCHOOLS)) {
    expect(question.length, school).toBeGreaterThan(3)
    expect(Object.keys(options).length, school).toBeGreaterThanOrEqual(2)
    expect(Object.keys(options), school).toContain(DEFAULT_METHOD[school as keyof typeof DEFAULT_METHOD])
    expect(new Set(Object.values(options)).size, school).toBe(Object.keys(options).length)
  }
})

it('options are told in the reader’s units', () => {
  expect(optionWords('placement', 'palm', 'metric')).toMatch(/^A palm, 100 mm: /)
  expect(optionWords('placement', 'palm', 'inch')).toMatch(/^A palm, 3 15\/16 in: /)
  expect(optionWords('cureTemperature', 'standard', 'inch')).toBe('320 °F: the usual cure')
  for (const [school, { options }] of Object.entries(SCHOOLS))
    for (const option of Object.keys(options))
      expect(optionWords(school as keyof typeof SCHOOLS, option, 'inch')).not.toMatch(/[{}]|NaN|undefined/)
})
