import { defineRoom } from '../advice'
import { FACT_RULES } from './factRules'
import { SIDE_RULES } from './sideRules'

/** What may be wrong at the press, what tells causes apart, and what a remedy breaks. */
export const TROUBLE = defineRoom({
  id: 'trouble',
  title: 'Trouble',
  model:
    'Ranks what may be wrong by how often it happens, what this run says by itself, how it shows and how looks came out; asks for the one look that saves most time; works out what a remedy changes before it is offered.',
  sources:
    'Which cause shows what is common practice. How often is assumed, tried on a simulated press only, and corrected by what helped in this shop.',
  pages: ['trouble'],
  rules: {
    TROUBLE_SHOWS: { says: 'It {often} shows as this.', source: 'common practice' },
    TROUBLE_TIMES: { says: 'That makes it {times} likely than usual.', source: 'assumed' },
    TROUBLE_TOLD: {
      says: '“{answer}”: {times} likely with this than with “{other}”.',
      source: 'assumed',
    },
    TROUBLE_TRIED: { says: '{remedy} did not help: less likely what it cures.', source: 'assumed' },
    TROUBLE_LOOK: { says: 'Looking saves about {time} on average.', source: 'a model' },
    TROUBLE_PAIR: {
      says: '{one} and {other} look alike; this tells them apart.',
      source: 'common practice',
    },
    TROUBLE_CALLS: { says: 'Corrected by {calls} calls of this shop.', source: "the shop's record" },
    TROUBLE_PLANNED: { says: '{what}: {to} is planned.', source: 'common practice' },
    TROUBLE_FROM_TO: { says: '{what}: {to} instead of {from}.', source: 'common practice' },
    TROUBLE_ONE: {
      says: 'One change at a time, then print again and look.',
      source: 'common practice',
    },
    ...FACT_RULES,
    ...SIDE_RULES,
    HELD_BACK: {
      says: 'First hold back what was cured since the last good test.',
      source: 'common practice',
      severity: 'Watch',
    },
    CAUTION_PANEL: {
      says: 'Panel off and cold first. Electric work is for licensed people.',
      source: 'common practice',
    },
    CAUTION_BOARDS: { says: 'Boards over {temperature:333.15} burn.', source: 'common practice' },
    CAUTION_UNDER: {
      says: 'Never leave a garment under a panel that is on: it catches fire.',
      source: 'common practice',
    },
    CAUTION_SPRAY: {
      says: 'Spray off before heat on. Silicone contaminates cloth and later prints: some shops refuse it.',
      source: 'common practice',
    },
    CAUTION_LOCK: {
      says: 'Stop the press and lock it out before reaching in.',
      source: 'common practice',
    },
    CAUTION_OVERNIGHT: {
      says: 'It shows hours later: keep one aside overnight before shipping.',
      source: 'common practice',
    },
    CAUTION_REDUCER: {
      says: 'Reducer cannot be taken out again: small parts, written down.',
      source: 'common practice',
    },
  },
  settings: {},
})
