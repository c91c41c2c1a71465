import { expect, it } from 'vitest'
import { message, type Rule } from '../advice'
import { ROOMS } from './rooms'
import { exampleOf } from './ruleExamples'

const RULES = ROOMS.flatMap((room) => Object.entries<Rule>(room.rules))

it('every rule can be read with an example in it, in both systems of units', () => {
  for (const [id, rule] of RULES)
    for (const units of ['metric', 'inch'] as const) {
      const words = message(exampleOf(id, rule), units)
      expect(words, id).not.toMatch(/[{}]|undefined|NaN|Infinity/)
      expect(words, id).toMatch(/[.)]$/)
    }
})
