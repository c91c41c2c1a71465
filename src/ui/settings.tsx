'use client'

import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useSyncExternalStore,
} from 'react'
import type { System } from '@/core/quantity'

type Mode = 'light' | 'dark'

interface Settings {
  readonly units: System
  readonly mode: Mode
  readonly switchUnits: () => void
  readonly switchMode: () => void
}

const Context = createContext<Settings | undefined>(undefined)

const UNITS = 'orvint.units'
const MODE = 'orvint.mode'
const listeners = new Set<() => void>()

/** A word remembered on this device. The server and the first paint see `first`. */
function useRemembered<T extends string>(key: string, words: readonly [T, T]): readonly [T, () => void] {
  const read = useCallback(() => (localStorage.getItem(key) === words[1] ? words[1] : words[0]), [key, words])
  const subscribe = useCallback((listener: () => void) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }, [])
  const word = useSyncExternalStore(subscribe, read, () => words[0])
  const flip = useCallback(() => {
    localStorage.setItem(key, read() === words[0] ? words[1] : words[0])
    for (const listener of listeners) listener()
  }, [key, read, words])
  return [word, flip]
}

const SYSTEMS: readonly [System, System] = ['metric', 'inch']
const MODES: readonly [Mode, Mode] = ['light', 'dark']

/** Runs before the first paint so that a dark screen does not flash light. */
export const MODE_SCRIPT = `document.documentElement.className=localStorage.getItem('${MODE}')==='dark'?'dark':'light'`

export function SettingsProvider({ children }: { readonly children: ReactNode }) {
  const [units, switchUnits] = useRemembered(UNITS, SYSTEMS)
  const [mode, switchMode] = useRemembered(MODE, MODES)
  useEffect(() => {
    document.documentElement.className = mode
  }, [mode])
  useKey('u', switchUnits)
  useKey('m', switchMode)
  const value = useMemo(
    () => ({ units, mode, switchUnits, switchMode }),
    [units, mode, switchUnits, switchMode],
  )
  return <Context.Provider value={value}>{children}</Context.Provider>
}

export function useSettings(): Settings {
  const settings = useContext(Context)
  if (!settings) throw new Error('outside of SettingsProvider')
  return settings
}

const TYPING = 'input, textarea, select, [contenteditable]'

/** Calls `act` when a plain key is pressed and no one is typing. */
export function useKey(key: string, act: () => void): void {
  useEffect(() => {
    const listen = (e: KeyboardEvent) => {
      if (e.key !== key || e.ctrlKey || e.metaKey || e.altKey) return
      if (e.target instanceof Element && e.target.closest(TYPING)) return
      e.preventDefault()
      act()
    }
    window.addEventListener('keydown', listen)
    return () => window.removeEventListener('keydown', listen)
  }, [key, act])
}
