import { useEffect, useState, useSyncExternalStore } from 'react'

/** A lamp that burns, of which this device keeps the time: over pages, reloads and a browser that was closed. */
export interface Lamp {
  /** What lies under it. */
  readonly what: string
  /** When it has burnt long enough, milliseconds since 1970. */
  readonly ends: number
  /** How long it burns, seconds. */
  readonly seconds: number
  /** That the time is up was heard. */
  readonly heard?: boolean
}

const KEY = 'orvint.lamp'
const listeners = new Set<() => void>()

function listen(listener: () => void) {
  listeners.add(listener)
  window.addEventListener('storage', listener)
  return () => {
    listeners.delete(listener)
    window.removeEventListener('storage', listener)
  }
}

let known: { readonly text: string | null; readonly lamp: Lamp | undefined } = { text: null, lamp: undefined }
function read(): Lamp | undefined {
  const text = localStorage.getItem(KEY)
  if (text !== known.text) known = { text, lamp: lampOf(text) }
  return known.lamp
}

function lampOf(text: string | null): Lamp | undefined {
  try {
    const { what, ends, seconds, heard } = JSON.parse(text ?? '{}') as Partial<Lamp>
    return typeof what === 'string' && Number.isFinite(ends) && Number.isFinite(seconds)
      ? { what, ends: ends as number, seconds: seconds as number, heard: heard === true }
      : undefined
  } catch {
    return undefined
  }
}

function write(lamp: Lamp | undefined): void {
  if (lamp) localStorage.setItem(KEY, JSON.stringify(lamp))
  else localStorage.removeItem(KEY)
  for (const listener of listeners) listener()
}

export const lampOn = (what: string, seconds: number): void =>
  write({ what, seconds, ends: Date.now() + seconds * 1000 })
export const lampOff = (): void => write(undefined)
/** The ringing was heard; on no device page does it ring again. */
export const lampHeard = (lamp: Lamp): void => write({ ...lamp, heard: true })

/** The lamp that burns, with the seconds that are left; negative once it burnt too long. */
export function useLamp(): { readonly lamp: Lamp; readonly left: number } | undefined {
  const lamp = useSyncExternalStore(listen, read, () => undefined)
  const [now, setNow] = useState(0)
  useEffect(() => {
    if (!lamp) return
    const look = () => setNow(Date.now())
    look()
    const timer = setInterval(look, 100)
    return () => clearInterval(timer)
  }, [lamp])
  // A clock that was set back makes no lamp burn longer than it was to.
  return lamp && now > 0 ? { lamp, left: Math.min(lamp.seconds, (lamp.ends - now) / 1000) } : undefined
}

/** Seconds as they are read across a room: `42 s`, `2:05`. */
export const clock = (seconds: number): string => {
  const s = Math.max(0, Math.ceil(seconds))
  return s < 60 ? `${s} s` : `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
}
