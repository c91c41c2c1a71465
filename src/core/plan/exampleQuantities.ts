/** Quantities of examples, in the units people say them in. */
import { q } from '../advice'
import { celsius, micron, minutes, mm, perCm } from '../quantity'

export const um = (x: number) => q('thickness', micron(x))
export const length = (x: number) => q('length', mm(x))
export const fine = (x: number) => q('fine', mm(x))
export const count = (x: number) => q('count', x)
export const share = (x: number) => q('share', x)
export const mesh = (x: number) => q('meshCount', perCm(x))
export const grams = (x: number) => q('mass', x / 1000)
export const heat = (x: number) => q('temperature', celsius(x))
export const work = (x: number) => q('workTime', minutes(x))
export const delta = (x: number) => q('difference', x)
export const area = (x: number) => q('area', x * 1e-4)
export const money = (x: number) => q('money', x)
export const tension = (x: number) => q('tension', x * 100)
