import { KINDS, parseClock, writeClock } from '@/core/quantity'

/**
 * In files a quantity carries its unit in its name: `widthMm`. Here each such name with its SI name and factor; both
 * directions read this one table.
 */
const unit = (kind: keyof typeof KINDS, symbol: string): number => {
  const found = KINDS[kind].units.find((u) => u.symbol === symbol)
  if (!found) throw new Error(`no unit ${symbol}`)
  return found.factor
}
const MM = unit('length', 'mm')
const PERCENT = unit('share', '%')

const NAMES: Readonly<Record<string, readonly [fileName: string, factor: number]>> = {
  width: ['widthMm', MM],
  height: ['heightMm', MM],
  length: ['lengthMm', MM],
  palletWidth: ['palletWidthMm', MM],
  palletHeight: ['palletHeightMm', MM],
  frameWidth: ['frameWidthMm', MM],
  frameHeight: ['frameHeightMm', MM],
  heatedLength: ['heatedLengthMm', MM],
  beltWidth: ['beltWidthMm', MM],
  weight: ['weightGsm', unit('arealMass', 'g/m²')],
  cotton: ['cottonPercent', PERCENT],
  polyester: ['polyesterPercent', PERCENT],
  elastane: ['elastanePercent', PERCENT],
  airDry: ['airDryHours', 3600],
  coverage: ['coveragePercent', PERCENT],
  ruling: ['rulingLpi', unit('ruling', 'lpi')],
  mesh: ['meshPerCm', unit('meshCount', 'T/cm')],
  line: ['lineMm', MM],
  gap: ['gapMm', MM],
  choke: ['chokeMm', MM],
  deposit: ['depositUm', unit('thickness', 'µm')],
  particle: ['particleUm', unit('thickness', 'µm')],
  angle: ['angleDegrees', unit('turn', '°')],
  distance: ['distanceMm', MM],
  offContact: ['offContactMm', MM],
  frameToPallet: ['frameToPalletMm', MM],
  collarLine: ['collarLineMm', MM],
  humidity: ['humidityPercent', PERCENT],
  count: ['perCm', unit('meshCount', 'T/cm')],
  thread: ['threadUm', unit('thickness', 'µm')],
  thickness: ['thicknessUm', unit('thickness', 'µm')],
  build: ['buildUm', unit('thickness', 'µm')],
  tension: ['tensionNPerCm', unit('tension', 'N/cm')],
  leastTension: ['leastTensionNPerCm', unit('tension', 'N/cm')],
  mostTension: ['mostTensionNPerCm', unit('tension', 'N/cm')],
  share: ['sharePercent', PERCENT],
  density: ['densityGPerMl', 1000],
  cost: ['costPerKg', 1],
  above: ['aboveMm', MM],
  roomAir: ['roomAirKelvin', 1],
  temperature: ['temperatureKelvin', 1],
  pallet: ['palletKelvin', 1],
  read: ['readKelvin', 1],
  dwell: ['dwellSeconds', 1],
  delay: ['delaySeconds', 1],
  lap: ['lapSeconds', 1],
  setupPerScreen: ['setupPerScreenSeconds', 1],
  belt: ['beltMPerMin', 1 / 60],
  dwellSpread: ['dwellSpreadSeconds', 1],
  filmSpread: ['filmSpreadKelvin', 1],
}
/** Times of day are written `08:00`. */
const CLOCKS: ReadonlySet<string> = new Set(['from', 'to'])
const BY_FILE_NAME = new Map(
  Object.entries(NAMES).map(([name, [file, factor]]) => [file, [name, factor] as const]),
)

const isRecord = (x: unknown): x is Record<string, unknown> =>
  typeof x === 'object' && x !== null && !Array.isArray(x)

/** Six digits after the point of a file unit: under a nanometre, and free of binary dust. */
const tidy = (x: number) => Number(x.toFixed(6))

function walk(value: unknown, rename: (key: string, value: unknown) => readonly [string, unknown]): unknown {
  if (Array.isArray(value)) return value.map((x) => walk(x, rename))
  if (!isRecord(value)) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, x]) => {
      const [name, next] = rename(key, x)
      return [name, walk(next, rename)]
    }),
  )
}

/** From file names and units to SI. What is no number stays as it is, for the check to refuse. */
export const toSi = (value: unknown): unknown =>
  walk(value, (key, x) => {
    if (CLOCKS.has(key) && typeof x === 'string') return [key, parseClock(x) ?? x]
    const found = BY_FILE_NAME.get(key)
    if (!found) return [key, x]
    return [found[0], typeof x === 'number' ? Number((x * found[1]).toPrecision(12)) : x]
  })

/** From SI to file names and units. */
export const toNamedUnits = (value: unknown): unknown =>
  walk(value, (key, x) => {
    if (CLOCKS.has(key) && typeof x === 'number') return [key, writeClock(x)]
    const found = NAMES[key]
    return found && typeof x === 'number' ? [found[0], tidy(x / found[1])] : [key, x]
  })

/** A path in SI names as the file writes it: `lines[0].cloth.weight` is `lines[0].cloth.weightGsm`. */
export const filePath = (path: string): string =>
  path.replace(/[A-Za-z]+$/, (last) => NAMES[last]?.[0] ?? last)
