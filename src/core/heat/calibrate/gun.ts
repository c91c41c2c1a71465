import type { Share, Temperature } from '../../quantity'

/** How hand-held guns weigh long waves: their signal grows with this power of the temperature (from memory). */
const POWER = 4.3
/** What guns are set to as they come, and what ink gives off (from memory). */
const GUN_SET: Share = 0.95
const INK_GIVES: Share = 0.92

/**
 * What a surface truly has when an infrared gun says so much.
 *
 * @param shows kelvin @param round kelvin of what is mirrored in it; never the panel
 */
export const truly = (
  shows: Temperature,
  round: Temperature,
  gives: Share = INK_GIVES,
  set: Share = GUN_SET,
): Temperature => ((set * (shows ** POWER - round ** POWER)) / gives + round ** POWER) ** (1 / POWER)

/** What a gun says of a surface. */
export const shown = (
  is: Temperature,
  round: Temperature,
  gives: Share = INK_GIVES,
  set: Share = GUN_SET,
): Temperature => ((gives * (is ** POWER - round ** POWER)) / set + round ** POWER) ** (1 / POWER)
