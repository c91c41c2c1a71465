import { choiceProblem } from '@/core/plan'
import { useSettings } from '@/ui/settings'

/** What stands against a value of one screen: the same limits as on a run's own. */
export function useCan(): (setting: 'mesh' | 'coats') => (value: number) => string | undefined {
  const { units } = useSettings()
  return (setting) => (value) => choiceProblem(`${setting}.any`, value, units)
}
