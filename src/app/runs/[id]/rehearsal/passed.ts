/** What a trainee has passed on this device, by lesson: the best points. */
export type Passed = Readonly<Record<string, number>>

const keyOf = (trainee: string) => `rehearsal ${trainee.trim().toLowerCase()}`

export function passedBy(trainee: string): Passed {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(trainee)) ?? '{}')
    if (typeof kept !== 'object' || kept === null) return {}
    return Object.fromEntries(
      Object.entries(kept).filter((e): e is [string, number] => typeof e[1] === 'number'),
    )
  } catch {
    return {}
  }
}

/** @returns what is kept then; a device that can keep nothing keeps it no longer than the page */
export function keepPassed(trainee: string, lesson: string, points: number): Passed {
  const now = passedBy(trainee)
  const next = { ...now, [lesson]: Math.max(points, now[lesson] ?? 0) }
  try {
    localStorage.setItem(keyOf(trainee), JSON.stringify(next))
  } catch {
    // Nothing to be done about it: the page shows it until it is left.
  }
  return next
}

export function forget(trainee: string): void {
  try {
    localStorage.removeItem(keyOf(trainee))
  } catch {
    // What cannot be kept cannot be left behind either.
  }
}
