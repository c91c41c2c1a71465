import { celsius } from '@/core/quantity'

/** Days in one tap: the air that heat is computed with; none: as usual. */
export const AIR_DAYS = {
  'cold damp morning': { temperature: celsius(8), humidity: 0.9 },
  'hot afternoon': { temperature: celsius(32), humidity: 0.55 },
  'usual day': undefined,
} as const
