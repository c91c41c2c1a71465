import { labOfHex } from '@/core/color'
import { type InkRoom, USUAL_INK_ROOM } from '@/core/equipment'
import { DEMO_INKS } from './shelf'

const formula = (id: string, ink: string, ...parts: readonly (readonly [code: string, share: number])[]) => {
  const of = DEMO_INKS.find((i) => i.id === ink)
  if (!of) throw new Error(`no ink ${ink}`)
  const all = parts.reduce((sum, [, share]) => sum + share, 0)
  return {
    id,
    name: of.name,
    system: 'plastisol',
    target: labOfHex(of.hex),
    parts: parts.map(([code, share]) => ({ code, share: share / all })),
  }
}

/** The rack of a new shop, and what this one has mixed before. */
export const DEMO_INK_ROOM: InkRoom = {
  ...USUAL_INK_ROOM,
  formulas: [
    formula('M1', 'sky', ['W1', 0.711], ['B2', 0.231], ['V1', 0.053], ['R1', 0.005]),
    formula('M2', 'yellow', ['W1', 0.788], ['Y2', 0.198], ['M1', 0.009], ['V1', 0.005]),
    formula('M3', 'light-green', ['W1', 0.522], ['Y2', 0.317], ['G1', 0.155], ['O1', 0.006]),
    formula('M4', 'pennant', ['X1', 0.67], ['R1', 0.19], ['M1', 0.14]),
  ],
}
