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
import { type DayOrder, type Measure, measureOf, type Reader } from '@/core/quantity'
import { useKeys } from './keys'

/** Safelight is for rooms with coated screens: nothing blue, nothing white. */
export type Mode = 'light' | 'dark' | 'safelight'

/** How the shop writes what is read, and what this device does otherwise; nothing where it goes with the shop. */
export interface Writing extends Reader {
  /** On which day a week begins: 1 Monday, 7 Sunday. */
  readonly weekFrom: 1 | 7
}
interface Settings {
  readonly units: Writing
  readonly switchUnits: () => void
  readonly ofDevice: { readonly [K in keyof typeof OWN]: Chosen<(typeof OWN)[K][number]> }
}
/** What was chosen, and choosing. */
interface Chosen<T extends string> {
  readonly is: T
  readonly choose: (word: T) => void
}
interface Light {
  readonly mode: Mode
  readonly switchMode: () => void
  readonly switchSafelight: () => void
}

/** Apart, because every number follows the units and none the light. */
const UnitsContext = createContext<Settings | undefined>(undefined)
const LightContext = createContext<Light | undefined>(undefined)

const MODE = 'orvint.mode'
const listeners = new Set<() => void>()

/** A word remembered on this device. The server and the first paint see the first one. */
function useRemembered<T extends string>(
  key: string,
  words: readonly [T, ...T[]],
): readonly [T, (word: T) => void] {
  const read = useCallback(() => words.find((w) => w === localStorage.getItem(key)) ?? words[0], [key, words])
  const subscribe = useCallback((listener: () => void) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }, [])
  const word = useSyncExternalStore(subscribe, read, () => words[0])
  const set = useCallback(
    (next: T) => {
      localStorage.setItem(key, next)
      for (const listener of listeners) listener()
    },
    [key],
  )
  return [word, set]
}

/** What a device may write in its own way; `shop` is as the shop does. */
const OWN = {
  measure: ['shop', 'metric', 'inch'],
  inches: ['shop', 'fractions', 'decimals'],
  days: ['shop', 'dayFirst', 'monthFirst', 'yearFirst'],
  week: ['shop', 'monday', 'sunday'],
} as const satisfies {
  measure: readonly ['shop', ...Measure[]]
  days: readonly ['shop', ...DayOrder[]]
  [name: string]: readonly [string, ...string[]]
}
const MODES: readonly [Mode, Mode, Mode] = ['light', 'dark', 'safelight']

/** Runs before the first paint so that a dark room stays dark. */
export const MODE_SCRIPT = `(m=>{document.documentElement.className=m==='dark'||m==='safelight'?m:'light'})(localStorage.getItem('${MODE}'))`

export function SettingsProvider({
  writing: shop,
  children,
}: {
  /** Of the shop: a device may choose its own. */
  readonly writing: Writing
  readonly children: ReactNode
}) {
  const [measure, setMeasure] = useRemembered('orvint.units', OWN.measure)
  const [inches, setInches] = useRemembered('orvint.inches', OWN.inches)
  const [days, setDays] = useRemembered('orvint.days', OWN.days)
  const [week, setWeek] = useRemembered('orvint.week', OWN.week)
  const [mode, setMode] = useRemembered(MODE, MODES)
  useEffect(() => {
    document.documentElement.className = mode
  }, [mode])
  const units = useMemo(
    (): Writing => ({
      measure: measure === 'shop' ? shop.measure : measure,
      decimals: inches === 'shop' ? shop.decimals : inches === 'decimals',
      dayOrder: days === 'shop' ? shop.dayOrder : days,
      weekFrom: week === 'shop' ? shop.weekFrom : week === 'sunday' ? 7 : 1,
    }),
    [measure, inches, days, week, shop],
  )
  const settings = useMemo(
    (): Settings => ({
      units,
      switchUnits: () => setMeasure(measureOf(units) === 'metric' ? 'inch' : 'metric'),
      ofDevice: {
        measure: { is: measure, choose: setMeasure },
        inches: { is: inches, choose: setInches },
        days: { is: days, choose: setDays },
        week: { is: week, choose: setWeek },
      },
    }),
    [units, measure, inches, days, week, setMeasure, setInches, setDays, setWeek],
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

/** How this device reads, as the address of something to print tells it. */
export function useAsPrinted(): string {
  const { measure, decimals, dayOrder = 'dayFirst' } = useSettings().units
  return `units=${measure}&inches=${decimals ? 'decimals' : 'fractions'}&days=${dayOrder}`
}

export function useLight(): Light {
  const light = useContext(LightContext)
  if (!light) throw new Error('outside of SettingsProvider')
  return light
}
