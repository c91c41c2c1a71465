import { CLOTH_CAUSES } from './causesCloth'
import { HEAT_CAUSES } from './causesHeat'
import { INK_CAUSES } from './causesInk'
import { REGISTER_CAUSES } from './causesRegister'
import { SCREEN_CAUSES } from './causesScreen'
import { STROKE_CAUSES } from './causesStroke'

/** Sixty-six causes. */
export const CAUSES = {
  ...HEAT_CAUSES,
  ...STROKE_CAUSES,
  ...SCREEN_CAUSES,
  ...REGISTER_CAUSES,
  ...INK_CAUSES,
  ...CLOTH_CAUSES,
} as const
export type CauseId = keyof typeof CAUSES
