import type { Share } from '../quantity'

/** What a kind of ink does, wherever that matters: in the screen, on the cloth, in the oven. */
interface System {
  readonly label: string
  /** It is water-based: dries in the screen, eats ordinary emulsion, and its vapour wants moving air. */
  readonly driesInScreen: boolean
  /** Of the wet film that is left when it is cured. */
  readonly solids: Share
  /** Of the first hit that the cloth drinks. */
  readonly drunk: Share
}

/** Ink systems. Solids and what cloth drinks are tuned to common practice, never measured. */
const TABLE = {
  plastisol: { label: 'Plastisol', driesInScreen: false, solids: 1, drunk: 0.15 },
  highSolids: { label: 'High-solids water-based', driesInScreen: true, solids: 0.6, drunk: 0.25 },
  waterBased: { label: 'Water-based', driesInScreen: true, solids: 0.4, drunk: 0.35 },
  /** Takes the dye out of the cloth: what is seen is no film. */
  discharge: { label: 'Discharge', driesInScreen: true, solids: 0.4, drunk: 0.45 },
} as const satisfies Record<string, System>

export type InkSystem = keyof typeof TABLE
export const systemFacts = (system: InkSystem): System => TABLE[system]

const isKnown = (system: string): system is InkSystem => Object.hasOwn(TABLE, system)

/** Whether an ink dries in the screen; what no one knows does not. */
export const driesInScreen = (system: string): boolean => isKnown(system) && TABLE[system].driesInScreen

/** What a system is called; what no one knows by its own word. */
export const systemName = (system: string): string => (isKnown(system) ? TABLE[system].label : system)

const labels = Object.entries(TABLE).map(([id, { label }]) => [id, label])
const ALL_SYSTEMS = Object.fromEntries(labels) as Readonly<Record<InkSystem, string>>
/** Systems that are mixed by formula, by what they are called: what discharge comes to hangs on the cloth. */
export type MixedSystem = Exclude<InkSystem, 'discharge'>
export const INK_SYSTEMS = Object.fromEntries(labels.filter(([id]) => id !== 'discharge')) as Readonly<
  Record<MixedSystem, string>
>
/** The same as an order names them: of the house, whatever that is, or its own. */
export const SYSTEMS = { house: 'House ink', ...ALL_SYSTEMS } as const
export type OrderedSystem = keyof typeof SYSTEMS

/** The system of an ink of the shelf as an order keeps it: of the house where it is the house's. */
export const orderedSystem = (system: string, house: InkSystem): OrderedSystem =>
  isKnown(system) && system !== house ? system : 'house'
