import { labOfHex } from '@/core/color'
import { type AdditiveKind, type BaseInk, type InkRoom, STARTER_RACK, USUAL_INK_ROOM } from '@/core/equipment'
import { DEMO_INKS } from './shelf'

const formula = (
  id: string,
  ink: string,
  system: 'plastisol' | 'waterBased',
  ...parts: readonly (readonly [code: string, share: number])[]
) => {
  const of = DEMO_INKS.find((i) => i.id === ink)
  if (!of) throw new Error(`no ink ${ink}`)
  const all = parts.reduce((sum, [, share]) => sum + share, 0)
  return {
    id,
    name: of.name,
    system,
    target: labOfHex(of.hex),
    parts: parts.map(([code, share]) => ({ code, share: share / all })),
  }
}

/** The same pigments ground into water, by codes of their own. */
const inWater = (of: string, code: string, name: string): BaseInk => {
  const ink = STARTER_RACK.find((i) => i.code === of)
  if (!ink) throw new Error(`no ink ${of}`)
  return { ...ink, code, name, system: 'waterBased', density: 1080 }
}
const IN_WATER = [
  inWater('W1', 'Q-W', 'Water white'),
  inWater('X1', 'Q-X', 'Water extender'),
  inWater('O1', 'Q-O', 'Water orange'),
  inWater('B2', 'Q-B', 'Water blue'),
  inWater('G1', 'Q-G', 'Water green'),
]

const additive = (
  code: string,
  name: string,
  system: BaseInk['system'],
  cost: number,
  does: AdditiveKind,
): BaseInk => ({ code, name, system, cost, density: 1000, characterisation: { how: 'additive', does } })
const ADDED = [
  additive('A-P', 'Rise', 'plastisol', 22, 'expands'),
  additive('A-L', 'Low cure', 'plastisol', 31, 'lowersCure'),
  additive('A-T', 'Reducer', 'plastisol', 12, 'thins'),
  additive('Q-R', 'Wet edge', 'waterBased', 17, 'slowsDrying'),
]

/** The rack of a new shop, and what this one has mixed before. */
export const DEMO_INK_ROOM: InkRoom = {
  ...USUAL_INK_ROOM,
  rack: [...STARTER_RACK, ...IN_WATER, ...ADDED],
  formulas: [
    formula('M1', 'sky', 'plastisol', ['W1', 0.711], ['B2', 0.231], ['V1', 0.053], ['R1', 0.005]),
    formula('M2', 'yellow', 'plastisol', ['W1', 0.788], ['Y2', 0.198], ['M1', 0.009], ['V1', 0.005]),
    formula('M3', 'light-green', 'plastisol', ['W1', 0.522], ['Y2', 0.317], ['G1', 0.155], ['O1', 0.006]),
    formula('M4', 'pennant', 'plastisol', ['X1', 0.67], ['R1', 0.19], ['M1', 0.14]),
    formula('M7', 'raised', 'plastisol', ['W1', 0.962], ['Y2', 0.02], ['K1', 0.018]),
    formula('M5', 'sand', 'waterBased', ['Q-W', 0.405], ['Q-X', 0.399], ['Q-O', 0.115], ['Q-G', 0.081]),
    formula('M6', 'sea', 'waterBased', ['Q-X', 0.673], ['Q-B', 0.22], ['Q-W', 0.08], ['Q-O', 0.027]),
  ],
}
