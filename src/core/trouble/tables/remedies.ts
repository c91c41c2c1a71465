import { HEAT_REMEDIES } from './remediesHeat'
import { PRESS_REMEDIES } from './remediesPress'
import { STROKE_REMEDIES } from './remediesStroke'

export type { Computed } from './remedyRow'

/** What is done about it. Steps are common practice; seconds, pieces and shares are assumed. */
export const REMEDIES = { ...HEAT_REMEDIES, ...STROKE_REMEDIES, ...PRESS_REMEDIES } as const
export type RemedyId = keyof typeof REMEDIES
