import type { Overrides } from '../advice'
import type { Stated, StatedOf } from './event'
import { saidOf } from './fold'

/** What is set at the press beside the plan, the last of each setting. */
export const pressValues = (said: readonly Stated[]): Overrides =>
  Object.fromEntries(saidOf(said, 'set').map(({ setting, value }) => [setting, value]))

/** Two tablets said the same of the same size within this: it may be one piece counted twice, ms. */
const AT_ONCE = 2000

/** A pair of counts that may be one, each told by its own tablet. */
export interface Twice {
  readonly id: string
  readonly first: StatedOf<'count'>
  readonly second: StatedOf<'count'>
}

/**
 * Counts that two tablets said of the same size at the same moment: whether both are meant is asked, never decided (model of the
 * record, section 1). What was answered is not asked again.
 *
 * @param said oldest first
 */
export function countedTwice(said: readonly Stated[]): readonly Twice[] {
  const answered = new Set(saidOf(said, 'heard').map((e) => e.alarm))
  const counts = saidOf(said, 'count')
  return counts.flatMap((first, i) => {
    const till = Date.parse(first.at) + AT_ONCE
    const found: Twice[] = []
    for (let j = i + 1; j < counts.length; j++) {
      const second = counts[j]
      if (!second || Date.parse(second.at) > till) break
      const id = `twice ${first.id} ${second.id}`
      const alike =
        second.pad !== first.pad &&
        second.line === first.line &&
        second.size === first.size &&
        second.n === first.n &&
        second.place === first.place
      if (alike && !answered.has(id)) found.push({ id, first, second })
    }
    return found
  })
}
