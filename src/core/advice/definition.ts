import { OVERRIDE_RULES } from './advice'
import { defineRoom } from './room'

/** What the lead chose by hand, beside the advice. */
export const CHOICES = defineRoom({
  id: 'choices',
  title: 'Own choices',
  model: 'What the lead chose stands beside the advice.',
  sources: 'Local rules and the maker’s instructions come first.',
  pages: ['sequence'],
  rules: OVERRIDE_RULES,
  settings: {},
})
