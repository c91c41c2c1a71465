import { type Lab, labOf } from '@/core/color'
import type { Batch } from '@/core/ink'

/** What a batch looks like: as last read, else as it was meant. */
export const colourOf = (batch: Batch): Lab => {
  const last = batch.drawdowns.at(-1)
  return last ? labOf(last.onWhite) : batch.target
}
