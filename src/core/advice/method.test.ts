import { expect, it } from 'vitest'
import { DEFAULT_METHOD, SCHOOLS } from './method'

it('every question has at least two schools, each with what it costs or gives, and a default', () => {
  for (const [school, { question, options }] of Object.entries(SCHOOLS)) {
    expect(question.length, school).toBeGreaterThan(3)
    expect(Object.keys(options).length, school).toBeGreaterThanOrEqual(2)
    expect(Object.keys(options), school).toContain(DEFAULT_METHOD[school as keyof typeof DEFAULT_METHOD])
    expect(new Set(Object.values(options)).size, school).toBe(Object.keys(options).length)
  }
})
