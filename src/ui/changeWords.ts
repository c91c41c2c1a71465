import type { Change } from '@/core/change'
import { type Names, settingWords } from '@/core/plan'
import { type Kind, type System, writeClock, writeQuantity } from '@/core/quantity'

/** How a field is called and what it measures, by its last name in the data. */
const FIELDS: Readonly<Record<string, readonly [label: string, kind?: Kind | 'clock']>> = {
  customer: ['Customer'],
  title: ['Job'],
  due: ['Due'],
  notes: ['Notes'],
  lines: ['Garments'],
  style: ['Style'],
  cloth: ['Cloth'],
  hex: ['Colour seen'],
  weave: ['Weave'],
  cotton: ['Cotton', 'share'],
  polyester: ['Polyester', 'share'],
  weight: ['Weight', 'arealMass'],
  quantity: ['Pieces', 'count'],
  sizes: ['Size'],
  group: ['Prints with'],
  placements: ['Print'],
  where: ['Where'],
  width: ['Width', 'length'],
  height: ['Height', 'length'],
  inks: ['Colour'],
  choke: ['Base choked by', 'fine'],
  relations: ['Where colours meet'],
  inkType: ['Kind'],
  opacity: ['Covers'],
  coverage: ['Coverage', 'share'],
  ruling: ['Ruling', 'ruling'],
  angle: ['Halftone angle', 'turn'],
  line: ['Smallest line', 'fine'],
  gap: ['Smallest gap', 'fine'],
  particle: ['Particle size', 'thickness'],
  deposit: ['Wanted dry deposit', 'thickness'],
  system: ['Ink system'],
  lowCure: ['Low cure'],
  can: ['Can'],
  stretches: ['Stretches'],
  flashesFast: ['Flashes fast'],
  noGun: ['No hot gun'],
  pvcFree: ['Free of PVC'],
  garmentsOn: ['Garments expected'],
  airDry: ['In the air before heat', 'workTime'],
  maker: ['Maker'],
  additive: ['Additive'],
  additiveMaker: ['Maker of the additive'],
  elastane: ['Elastane', 'share'],
  dye: ['Dye'],
  clothDraws: ['The cloth draws'],
  overrides: ['Own choice'],
  method: ['Practice'],
  order: ['Print order'],
  shop: ['Shop'],
  name: ['Name'],
  presses: ['Press'],
  kind: ['Kind'],
  heads: ['Heads', 'count'],
  pallets: ['Pallets', 'count'],
  down: ['Heads out of service'],
  stations: ['Station'],
  usable: ['Works'],
  flashAllowed: ['Flash may stand here'],
  palletWidth: ['Pallet width', 'length'],
  palletHeight: ['Pallet height', 'length'],
  frameWidth: ['Frames up to, wide', 'length'],
  frameHeight: ['Frames up to, high', 'length'],
  side: ['Stands'],
  suits: ['For'],
  palletMaterial: ['Pallet material'],
  flashes: ['Flash'],
  pressId: ['At press'],
  dryers: ['Dryer'],
  heatedLength: ['Heated length', 'length'],
  beltWidth: ['Belt width', 'length'],
  heat: ['Heats by'],
  mount: ['After its dwell'],
  frames: ['Frame'],
  mesh: ['Mesh', 'meshCount'],
  tension: ['Tension', 'tension'],
  state: ['State'],
  stencil: ['Stencil'],
  readings: ['Tension readings'],
  done: ['Steps done'],
  screens: ['Screen room'],
  humidity: ['Humidity', 'share'],
  frameToPallet: ['Frame to pallet', 'length'],
  collarLine: ['Pallet to collar', 'length'],
  leastTension: ['Least tension', 'tension'],
  mostTension: ['Most tension', 'tension'],
  fabrics: ['Mesh table'],
  count: ['Mesh', 'meshCount'],
  thread: ['Thread', 'thickness'],
  thickness: ['Thickness', 'thickness'],
  dyed: ['Colour of the mesh'],
  emulsions: ['Emulsion'],
  water: ['Water'],
  build: ['EOM, each coat', 'thickness'],
  standing: ['Kept as'],
  mixedOn: ['Mixed on'],
  keeps: ['Keeps, days', 'count'],
  medium: ['Films on'],
  hardens: ['Hardened'],
  lamps: ['Lamp'],
  distance: ['To the glass', 'length'],
  tests: ['Step test'],
  squeegees: ['Squeegee'],
  hardness: ['Hardness'],
  length: ['Length', 'length'],
  edge: ['Edge'],
  cloths: ['Cloth'],
  hours: ['Hours'],
  days: ['Working days'],
  from: ['From', 'clock'],
  to: ['To', 'clock'],
  breaks: ['Breaks'],
  deleted: ['Deleted'],
}

/** A change as a person reads it. */
export interface ChangeWords {
  readonly label: string
  readonly from: string
  readonly to: string
}

const isRecord = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null

function words(value: unknown, kind: Kind | 'clock' | undefined, units: System): string {
  if (value === undefined || value === null || value === '') return 'none'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number')
    return kind === 'clock' ? writeClock(value) : kind ? writeQuantity(kind, value, units) : String(value)
  if (Array.isArray(value))
    return value.length === 0 ? 'none' : value.map((x) => words(x, kind, units)).join(', ')
  if (!isRecord(value)) return String(value)
  const item = 'item' in value && isRecord(value.item) ? value.item : value
  return String(item.name ?? item.style ?? item.size ?? item.id ?? Object.values(item).join(' '))
}

/** Where a change was made and what it changed, in the reader's units. */
export function changeWords(change: Change, units: System, names?: Names): ChangeWords {
  const last = change.path.at(-1) ?? ''
  const found = change.path[0] === 'overrides' ? settingWords(last, names) : undefined
  const [label, kind] = FIELDS[last] ?? [last, undefined]
  const around = change.path
    .slice(0, -1)
    .filter((p) => !['shop', 'method', 'hours'].includes(p))
    .map((p) => FIELDS[p]?.[0] ?? p)
  const name = found?.label ?? label
  const text = around.length > 0 ? `${around.join(' ')}, ${name.toLowerCase()}` : name
  return {
    label: text,
    from: words(change.from, found?.kind ?? kind, units),
    to: words(change.to, found?.kind ?? kind, units),
  }
}

/** A name for a whole edit: its first change, and how many more. */
export function editLabel(changes: readonly Change[], names?: Names): string {
  const [first] = changes
  if (!first) return ''
  const { label } = changeWords(first, 'metric', names)
  return changes.length === 1 ? label : `${label} and ${changes.length - 1} more`
}
