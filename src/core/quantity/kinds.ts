import type { Measure } from './reader'

/**
 * Every quantity the trade uses, with its units. Inside the core a quantity is a plain number in its SI base (metre, kelvin,
 * kilogram, second, radian, 1/m, share of one); units exist only where people read and type. Factors: NIST SP 811, appendix B
 * (inch, pound, ounce per square yard, degree Fahrenheit are exact there or follow exactly from 1 in = 0.0254 m and
 * 1 lb = 0.45359237 kg).
 */
/** Metres; exactly so by definition (1959). */
export const INCH = 0.0254
/** Cubic metres of a US gallon: 231 cubic inches. */
export const GALLON = 231 * INCH ** 3
const POUND = 0.45359237
const YARD = 36 * INCH

interface Unit {
  /** Shown after the number. */
  readonly symbol: string
  /** Also understood when typed, lower case. */
  readonly typed: readonly string[]
  /** SI value of one unit. */
  readonly factor: number
  /** SI value at zero of this unit; only temperature scales have one. */
  readonly offset?: number
  /** Digits after the point when shown. */
  readonly digits: number
}

interface KindOfQuantity {
  readonly name: string
  readonly units: readonly Unit[]
  /** Index into `units`: what each system shows. */
  readonly shown: Readonly<Record<Measure, number>>
  /** An example of good input, used in messages. */
  readonly example: string
  /** Value in SI below which nothing is accepted. */
  readonly least: number
}

const u = (symbol: string, factor: number, digits: number, typed: string[] = [], offset = 0): Unit => ({
  symbol,
  factor,
  digits,
  typed,
  offset,
})

const METRES = [
  u('mm', 0.001, 1, ['millimetre', 'millimeter']),
  u('in', INCH, 3, ['"', '″', 'inch', 'inches']),
  u('cm', 0.01, 1),
  u('m', 1, 3),
  u('ft', 12 * INCH, 2, ["'"]),
] as const

export const KINDS = {
  length: {
    name: 'length',
    units: METRES,
    shown: { metric: 0, inch: 1 },
    example: '305 mm or 12 in',
    least: 0,
  },
  fine: {
    name: 'fine length',
    units: [
      u('mm', 0.001, 2, ['millimetre', 'millimeter']),
      u('in', INCH, 3, ['"', '″']),
      u('µm', 1e-6, 0, ['um']),
    ],
    shown: { metric: 0, inch: 1 },
    example: '0.3 mm or 0.012 in',
    least: -0.05,
  },
  fineArea: {
    name: 'small area',
    units: [u('mm²', 1e-6, 1, ['mm2']), u('in²', INCH * INCH, 4, ['in2'])],
    shown: { metric: 0, inch: 1 },
    example: '2 mm2',
    least: 0,
  },
  area: {
    name: 'area',
    units: [u('cm²', 1e-4, 0, ['cm2']), u('in²', INCH * INCH, 1, ['in2'])],
    shown: { metric: 0, inch: 1 },
    example: '840 cm2',
    least: 0,
  },
  thickness: {
    name: 'film thickness',
    units: [u('µm', 1e-6, 0, ['um', 'μm', 'micron']), u('mil', INCH / 1000, 1, ['thou'])],
    shown: { metric: 0, inch: 1 },
    example: '40 µm',
    least: 0,
  },
  temperature: {
    name: 'temperature',
    units: [
      u('°C', 1, 0, ['c', 'celsius'], 273.15),
      u('°F', 5 / 9, 0, ['f', 'fahrenheit'], 273.15 - (32 * 5) / 9),
    ],
    shown: { metric: 0, inch: 1 },
    example: '160 C or 320 F',
    least: 0,
  },
  arealMass: {
    name: 'cloth weight',
    units: [
      u('g/m²', 0.001, 0, ['g/m2', 'gsm']),
      u('oz/yd²', POUND / 16 / (YARD * YARD), 1, ['oz/yd2', 'oz', 'osy']),
    ],
    shown: { metric: 0, inch: 1 },
    example: '180 g/m2 or 5.3 oz/yd2',
    least: 0,
  },
  mass: {
    name: 'weight',
    units: [u('g', 0.001, 0), u('oz', POUND / 16, 1), u('kg', 1, 2), u('lb', POUND, 2, ['lbs'])],
    shown: { metric: 0, inch: 1 },
    example: '600 g or 1.3 lb',
    least: 0,
  },
  dose: {
    name: 'small weight',
    units: [u('g', 0.001, 1), u('oz', POUND / 16, 2), u('kg', 1, 4)],
    shown: { metric: 0, inch: 0 },
    example: '12.5 g',
    least: 0,
  },
  density: {
    name: 'density',
    units: [u('g/ml', 1000, 2, ['g/cm3', 'kg/l'])],
    shown: { metric: 0, inch: 0 },
    example: '1.2 g/ml',
    least: 0,
  },
  price: {
    name: 'price',
    units: [u('/kg', 1, 2), u('/lb', 1 / 0.453_592_37, 2)],
    shown: { metric: 0, inch: 1 },
    example: '24.50',
    least: 0,
  },
  money: {
    name: 'money',
    units: [u('', 1, 2)],
    shown: { metric: 0, inch: 0 },
    example: '3.20',
    least: 0,
  },
  duration: {
    name: 'time',
    units: [u('s', 1, 1, ['sec']), u('min', 60, 0), u('h', 3600, 1, ['hour', 'hours'])],
    shown: { metric: 0, inch: 0 },
    example: '8 s',
    least: 0,
  },
  workTime: {
    name: 'working time',
    units: [u('min', 60, 0), u('h', 3600, 1), u('s', 1, 0)],
    shown: { metric: 0, inch: 0 },
    example: '90 min',
    least: 0,
  },
  meshCount: {
    name: 'mesh count',
    units: [u('T/cm', 100, 0, ['t', '/cm', 'tcm']), u('tpi', 1 / INCH, 0, ['/in', 'mesh'])],
    shown: { metric: 0, inch: 1 },
    example: '90 T or 230 tpi',
    least: 0,
  },
  ruling: {
    name: 'ruling',
    units: [u('l/cm', 100, 1, ['lpcm']), u('lpi', 1 / INCH, 0)],
    shown: { metric: 1, inch: 1 },
    example: '55 lpi',
    least: 0,
  },
  angle: {
    name: 'angle',
    units: [u('°', Math.PI / 180, 0, ['deg'])],
    shown: { metric: 0, inch: 0 },
    example: '15°',
    least: -Math.PI,
  },
  turn: {
    name: 'small turn',
    units: [u('°', Math.PI / 180, 2, ['deg'])],
    shown: { metric: 0, inch: 0 },
    example: '0.1°',
    least: -Math.PI,
  },
  beltSpeed: {
    name: 'belt speed',
    units: [u('m/min', 1 / 60, 2), u('ft/min', (12 * INCH) / 60, 1, ['fpm'])],
    shown: { metric: 0, inch: 1 },
    example: '1.2 m/min',
    least: 0,
  },
  squeegeeSpeed: {
    name: 'squeegee speed',
    units: [u('mm/s', 0.001, 0), u('in/s', INCH, 1)],
    shown: { metric: 0, inch: 1 },
    example: '250 mm/s',
    least: 0,
  },
  tension: {
    name: 'tension',
    units: [u('N/cm', 100, 1, ['n'])],
    shown: { metric: 0, inch: 0 },
    example: '25 N/cm',
    least: 0,
  },
  turns: {
    name: 'turns of a screw',
    units: [u('turns', 1, 2, ['turn'])],
    shown: { metric: 0, inch: 0 },
    example: '3.25 turns',
    least: 0,
  },
  sixtyFourths: {
    name: 'sixty-fourths of an inch',
    units: [u('sixty fourths', INCH / 64, 1, ['sixty fourth'])],
    shown: { metric: 0, inch: 0 },
    example: '1.5 sixty fourths',
    least: -0.05,
  },
  halfLines: {
    name: 'half line widths',
    units: [u('half lines', 0.25e-3, 1, ['half line'])], // of marks drawn 0.5 mm wide (assumed)
    shown: { metric: 0, inch: 0 },
    example: '1.5 half lines',
    least: -0.05,
  },
  airPressure: {
    name: 'air pressure',
    // 1 psi is 6894.757 Pa (NIST SP 811, appendix B.8).
    units: [u('bar', 1e5, 2), u('psi', 6894.757, 0)],
    shown: { metric: 0, inch: 1 },
    example: '2.5 bar or 36 psi',
    least: 0,
  },
  share: {
    name: 'share',
    units: [u('%', 0.01, 1, ['percent'])],
    shown: { metric: 0, inch: 0 },
    example: '35 %',
    least: 0,
  },
  shore: {
    name: 'hardness',
    units: [u('Shore A', 1, 0, ['a', 'shore'])],
    shown: { metric: 0, inch: 0 },
    example: '70',
    least: 0,
  },
  difference: {
    name: 'colour difference',
    units: [u('', 1, 1)],
    shown: { metric: 0, inch: 0 },
    example: '2.5',
    least: 0,
  },
  count: { name: 'number', units: [u('', 1, 0)], shown: { metric: 0, inch: 0 }, example: '24', least: 0 },
  rate: {
    name: 'rate',
    units: [u('/h', 1 / 3600, 0)],
    shown: { metric: 0, inch: 0 },
    example: '120 /h',
    least: 0,
  },
} as const satisfies Record<string, KindOfQuantity>

export type Kind = keyof typeof KINDS

declare const kind: unique symbol
/** A number in the SI base of its kind; the brand keeps a length from being passed as a temperature. */
export type Quantity<K extends Kind> = number & { readonly [kind]?: K }

export type Length = Quantity<'length'>
export type Area = Quantity<'area'>
export type Film = Quantity<'thickness'>
export type Temperature = Quantity<'temperature'>
export type ArealMass = Quantity<'arealMass'>
export type Mass = Quantity<'mass'>
export type Duration = Quantity<'duration'>
export type MeshCount = Quantity<'meshCount'>
export type Ruling = Quantity<'ruling'>
export type Angle = Quantity<'angle'>
export type Share = Quantity<'share'>

export const mm = (x: number): Length => x / 1000
export const micron = (x: number): Film => x / 1e6
export const celsius = (x: number): Temperature => x + 273.15
export const gsm = (x: number): ArealMass => x / 1000
export const grams = (x: number): Mass => x / 1000
export const seconds = (x: number): Duration => x
export const minutes = (x: number): Duration => x * 60
export const perCm = (x: number): MeshCount => x * 100
export const lpi = (x: number): Ruling => x / INCH
export const degrees = (x: number): Angle => (x * Math.PI) / 180
export const percent = (x: number): Share => x / 100
