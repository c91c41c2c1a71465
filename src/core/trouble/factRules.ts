import type { Rule } from '../advice'

/** What of a run moves the odds, in words: they stand before what they do to them. */
export const FACT_RULES = {
  FACT_UNDER: { says: 'Flash {is} where these boards need {limit}.', source: 'a model' },
  FACT_OVER: { says: 'Flash {is} where the base is shut after {limit}.', source: 'a model' },
  FACT_HOT: { says: 'The film meets the next screen at {is}; {limit} is too warm.', source: 'a model' },
  FACT_BOARD: { says: 'Boards at {is}; from about {limit} on they do harm.', source: 'a model' },
  FACT_CURE: { says: 'The film is set to reach {is} in the dryer; it wants {limit}.', source: 'a model' },
  FACT_CURE_HOT: {
    says: 'The film is set to reach {is} in the dryer; {limit} is too much.',
    source: 'a model',
  },
  FACT_COVER: { says: 'White for {limit} is wanted and {is} is planned.', source: 'a model' },
  FACT_SLACK: {
    says: 'The slackest screen was read at {is}; {limit} is too slack.',
    source: "the shop's record",
  },
  FACT_PARTICLE: { says: 'The opening is {is} wide; this ink wants {limit}.', source: 'common practice' },
  FACT_RULING: { says: 'Mesh and ruling stand {is} to 1; {limit} is lean.', source: 'common practice' },
  FACT_CHOKE: { says: 'The choke is {is}; this press wants {limit}.', source: 'a model' },
  FACT_MUD: {
    says: 'Wet colours overlap on {is} of the print, and the strong one lies first.',
    source: 'a model',
  },
  FACT_CHECK: { says: 'The gun read {is} {age} pieces ago.', source: "the shop's record" },
  FACT_PIECES: { says: '{is} pieces are printed.', source: "the shop's record" },
  FACT_LAPS: { says: 'The boards have gone {is} laps.', source: "the shop's record" },
  FACT_TACK: { says: '{is} garments on the adhesive.', source: "the shop's record" },
  FACT_INK: { says: '{is} pieces since ink was put in.', source: "the shop's record" },
  FACT_IDLE: { says: 'It stood for {is} of the time this ink stays open.', source: "the shop's record" },
  FACT_SO: { says: '{fact}.', source: 'the order' },
} as const satisfies Readonly<Record<string, Rule>>
