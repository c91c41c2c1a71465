/** Settings of the model. Assumed, tried on a simulated press; the shop's outcomes correct what they are used with. */
export const USED = {
  /** Share of a neighbouring name in how often a symptom is told. */
  confuse: 0.2,
  /** A symptom is told without its cause. */
  leak: 0.04,
  /** Answers that are slips. */
  slips: 0.1,
  /** How much of a usual answer is spread over all answers, for causes that say nothing of it. */
  flat: 0.15,
  /** Odds that a fact of the run may give at most; the least of a reading, and of what is only foretold. */
  most: 6,
  leastRead: 0.25,
  leastForetold: 0.35,
  /** Seconds that any question takes besides its look. */
  attention: 8,
  /** Seconds of press time that a piece at risk is worth. */
  piece: 60,
  /** Seconds added to a last resort. */
  lastResort: 120,
  /** Seconds lost where nothing helps. */
  givenUp: 1800,
  /** A line that leads with this is mended by its own first remedy first; one that costs so many seconds only with more. */
  leads: 0.35,
  dear: 600,
  leadsDear: 0.5,
  /** Nothing is asked once a cause has this share. */
  sure: 0.8,
  mostQuestions: 6,
  /** After so many it is enough that the first three hold this together: with more, looks cost more than they mend. */
  enoughQuestions: 3,
  enough: 0.65,
  /** Look-alikes among the first causes are told apart first, in this time, where the second has this share, and this much of the first's. */
  pairSeconds: 40,
  pairShare: 0.08,
  pairOfFirst: 0.3,
  /** Looks with the best gain per second whose saving is worked out. */
  looked: 12,
  /** A check of the gun fades with so many pieces, stands for an answer so long, and for a reading of the boards so long. */
  checkFades: 30,
  checkAnswers: 10,
  checkReads: 15,
  /** Up to here "first prints only" and "from the start" are one. */
  early: 13,
  /** Calls that the starting rates weigh; looks, remedies and symptoms likewise. */
  priorCalls: 40,
  priorRemedy: 8,
  priorAnswer: 15,
  priorSees: 12,
  /** Each call makes those before it weigh a little less. */
  forget: 0.995,
} as const
