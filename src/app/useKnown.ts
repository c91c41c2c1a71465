import { useEffect, useState } from 'react'
import { type Known, NOTHING_KNOWN } from '@/core/trouble'

/**
 * What was learnt of troubles so far; nothing until it is here, or without a line.
 *
 * @param press what this one learnt besides; the shop's without
 */
export function useKnown(press = ''): Known {
  const [known, setKnown] = useState<Known>(NOTHING_KNOWN)
  useEffect(() => {
    const away = new AbortController()
    fetch(`/api/trouble?press=${encodeURIComponent(press)}`, { signal: away.signal })
      .then((answer) => (answer.ok ? answer.json() : NOTHING_KNOWN))
      .then((found: Known) => setKnown(found))
      .catch(() => {})
    return () => away.abort()
  }, [press])
  return known
}
