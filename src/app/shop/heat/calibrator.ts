import { type Remote, wrap } from 'comlink'
import type { Calibrator } from '@/workers/calibrator'

let remote: Remote<Calibrator> | undefined
/** The fit takes up to a second: it runs beside the page, one for the tab. */
export function calibrator(): Remote<Calibrator> {
  remote ??= wrap<Calibrator>(
    new Worker(new URL('../../../workers/calibrator.ts', import.meta.url), { type: 'module' }),
  )
  return remote
}
