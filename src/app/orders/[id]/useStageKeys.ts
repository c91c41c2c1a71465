import { useMemo } from 'react'
import { useKeys } from '@/ui/keys'
import { STAGE_NAMES, STAGES, type StageName } from './stages'

/** Digits go to the stages; with Alt also while something is typed. */
export function useStageKeys(go: (to: StageName) => void): void {
  useKeys(
    useMemo(
      () =>
        STAGE_NAMES.flatMap((name, i) => {
          const to = { label: STAGES[name].label, act: () => go(name) }
          return [
            { ...to, keys: `${i + 1}` },
            { ...to, keys: `Alt+${i + 1}`, hidden: true },
          ]
        }),
      [go],
    ),
  )
}
