/** Names that older programs wrote, and those of today. Files, archives and revisions of then are read with these. */
const NAMES: Readonly<Record<string, string>> = {
  blades: 'squeegees',
  blade: 'squeegee',
  bladeLength: 'squeegeeLength',
  character: 'inkType',
  mud: 'wetRisk',
  hadMud: 'hadRisk',
  hangs: 'mounted',
  asMeant: 'match',
  tonedDown: 'visible',
  school: 'practice',
  proven: 'approved',
  vessel: 'tub',
  board: 'palletMaterial',
  known: 'characterisation',
  filmUm: 'depositUm',
}

const RULES: Readonly<Record<string, string>> = {
  MUD_POINTS: 'WET_RISK',
  ORDER_MUD: 'ORDER_WET_RISK',
  OFF_PROVEN: 'OFF_APPROVED',
  STROKE_PROVEN: 'STROKE_APPROVED',
  WHITE_SCHOOL: 'WHITE_PRACTICE',
  CAUTION_MACHINE: 'PRESS_AUTOMATIC',
  CAUTION_HOT: 'HEAT_SKIN',
  CAUTION_FUMES: 'HEAT_FUMES',
  CAUTION_WEAR: 'ORDER_WASH',
}

/** Settings whose key, the part before the point, was another word. */
const SETTINGS: Readonly<Record<string, string>> = {
  blade: 'squeegee',
  bladeLength: 'squeegeeLength',
  film: 'deposit',
}

const own = <T>(table: Readonly<Record<string, T>>, name: string): T | undefined =>
  Object.hasOwn(table, name) ? table[name] : undefined

/** The key of a setting, `blade.P1`, in today's words. */
export const settingToday = (key: string): string => {
  const [setting = '', ...of] = key.split('.')
  return [own(SETTINGS, setting) ?? setting, ...of].join('.')
}

type Loose = Readonly<Record<string, unknown>>
const isLoose = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x)
const isNumberAdvice = (x: unknown) => isLoose(x) && 'advised' in x

/** `film` had many senses: the deposit of a hit or of a reading, the temperature of the ink film at the cure. */
function nameOf(name: string, value: unknown, of: Loose): string {
  if (name === 'waterBased' && typeof value === 'boolean') return 'driesInScreen'
  if (name === 'film' && 'how' in of && typeof value === 'number') return 'deposit'
  if (name === 'film' && isNumberAdvice(value)) return 'belt' in of || 'dwell' in of ? 'inkFilm' : 'deposit'
  return own(NAMES, name) ?? name
}

function wordOf(name: string, word: string): string {
  if (name === 'kind' && word === 'film') return 'thickness'
  if (name === 'kind' && word === 'school') return 'practice'
  if (name === 'step' && word === 'hang') return 'mount'
  if (name === 'rule') return own(RULES, word) ?? word.replace(/^BLADE_/, 'SQUEEGEE_')
  if (name === 'key') return settingToday(word)
  return word
}

/** What is filed under keys of settings, and under ids that anyone may choose, which stay as they are. */
const BY_SETTING: ReadonlySet<string> = new Set(['overrides', 'overridesSi'])
const BY_ID: ReadonlySet<string> = new Set(['poured', 'method'])

/**
 * Data as older programs wrote it, in the names of today: orders, shops, plans, decisions, the ink book. What is of today
 * stays the same.
 *
 * @param value anything that was read from JSON
 */
export function inTodaysWords(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inTodaysWords)
  if (!isLoose(value)) return value
  return Object.fromEntries(
    Object.entries(value).map(([name, x]) => {
      const next = nameOf(name, x, value)
      if (typeof x === 'string') return [next, wordOf(name, x)]
      if (BY_ID.has(name)) return [next, x]
      if (BY_SETTING.has(name) && isLoose(x))
        return [next, Object.fromEntries(Object.entries(x).map(([k, v]) => [settingToday(k), v]))]
      return [next, inTodaysWords(x)]
    }),
  )
}
