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
import { useKeys } from './keys'

/** Safelight is for rooms with coated screens: nothing blue, nothing white. */
export type Mode = 'light' | 'dark' | 'safelight'

interface Settings {
  readonly units: System
  readonly switchUnits: () => void
}
interface Light {
  readonly mode: Mode
  readonly switchMode: () => void
  readonly switchSafelight: () => void
}

/** Apart, because every number follows the units and none the light. */
const UnitsContext = createContext<Settings | undefined>(undefined)
const LightContext = createContext<Light | undefined>(undefined)

const UNITS = 'orvint.units'
const MODE = 'orvint.mode'
const listeners = new Set<() => void>()

/** A word remembered on this device. The server and the first paint see the first one. */
function useRemembered<T extends string>(
  key: string,
  words: readonly [T, ...T[]],
  /** Where this device never chose. */
  usual: T = words[0],
): readonly [T, (word: T) => void] {
  const read = useCallback(
    () => words.find((w) => w === localStorage.getItem(key)) ?? usual,
    [key, words, usual],
  )
  const subscribe = useCallback((listener: () => void) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }, [])
  const word = useSyncExternalStore(subscribe, read, () => usual)
  const set = useCallback(
    (next: T) => {
      localStorage.setItem(key, next)
      for (const listener of listeners) listener()
    },
    [key],
  )
  return [word, set]
}

const SYSTEMS: readonly [System, System] = ['metric', 'inch']
const MODES: readonly [Mode, Mode, Mode] = ['light', 'dark', 'safelight']

/** Runs before the first paint so that a dark room stays dark. */
export const MODE_SCRIPT = `(m=>{document.documentElement.className=m==='dark'||m==='safelight'?m:'light'})(localStorage.getItem('${MODE}'))`

export function SettingsProvider({
  units: shopUnits,
  children,
}: {
  /** Of the shop: a device may choose its own. */
  readonly units: System
  readonly children: ReactNode
}) {
  const [units, setUnits] = useRemembered(UNITS, SYSTEMS, shopUnits)
  const [mode, setMode] = useRemembered(MODE, MODES)
  useEffect(() => {
    document.documentElement.className = mode
  }, [mode])
  const settings = useMemo(
    () => ({ units, switchUnits: () => setUnits(units === 'metric' ? 'inch' : 'metric') }),
    [units, setUnits],
  )
  const light = useMemo(
    () => ({
      mode,
      switchMode: () => setMode(mode === 'light' ? 'dark' : 'light'),
      switchSafelight: () => setMode(mode === 'safelight' ? 'light' : 'safelight'),
    }),
    [mode, setMode],
  )
  useKeys(
    useMemo(
      () => [
        { keys: 'u', label: 'Millimetres and °C, or inches and °F', act: settings.switchUnits },
        { keys: 'd', label: 'Light or dark', act: light.switchMode },
        { keys: 's', label: 'Safelight, for beside coated screens', act: light.switchSafelight },
      ],
      [settings, light],
    ),
  )
  return (
    <UnitsContext.Provider value={settings}>
      <LightContext.Provider value={light}>{children}</LightContext.Provider>
    </UnitsContext.Provider>
  )
}

export function useSettings(): Settings {
  const settings = useContext(UnitsContext)
  if (!settings) throw new Error('outside of SettingsProvider')
  return settings
}

export function useLight(): Light {
  const light = useContext(LightContext)
  if (!light) throw new Error('outside of SettingsProvider')
  return light
}
