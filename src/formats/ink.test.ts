import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BANDS, labOf, labOfHex } from '@/core/color'
import { STARTER_RACK } from '@/core/equipment'
import { readCgats, readingsFor, writeCgats } from './cgats'
import { formulasCsv, readFormulasCsv, readStockCsv, stockCsv } from './inkCsv'

const CURVE = BANDS.map((_, i) => 0.1 + 0.04 * i)
const read = (text: string) => {
  const found = readCgats(text)
  if (!found.ok) throw new Error(found.wrong.join('\n'))
  return found
}
const wrong = (text: string) => {
  const found = readCgats(text)
  return found.ok ? [] : found.wrong
}
/** A file by hand, of another make: percent, ten nanometres, fields in another order, comments, Windows line ends. */
const OTHER = [
  'CGATS.5',
  'ORIGINATOR "somebody" # and a remark',
  'MEASUREMENT_SOURCE "Illumination=D50 ObserverAngle=2"',
  'BEGIN_DATA_FORMAT',
  'LAB_B LAB_A LAB_L SAMPLE_ID',
  Array.from({ length: 31 }, (_, i) => `NM_${700 - 10 * i}`).join('\t'),
  'END_DATA_FORMAT',
  '# the readings',
  'NUMBER_OF_SETS 2',
  'BEGIN_DATA',
  `4.5 -1.25 61,5 "B1.white" ${Array.from({ length: 31 }, (_, i) => 70 - i).join(' ')}`,
  `0 0 50 B1.black ${Array.from({ length: 15 }, () => 18).join(' ')}`,
  `  ${Array.from({ length: 16 }, () => 18).join(' ')}`,
  'END_DATA',
].join('\r\n')

describe('CGATS text', () => {
  it('written and read again it is the same, spectral and Lab (property)', () => {
    const value = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(
        fc.array(fc.array(value, { minLength: 16, maxLength: 16 }), { minLength: 1, maxLength: 5 }),
        fc.constantFrom('D50', 'D65', 'A'),
        (curves, light) => {
          const samples = curves.map((c, i) => ({ name: `ink ${i}`, spectrum: c, lab: labOf(c, light) }))
          const back = read(writeCgats({ samples, light }))
          expect(back.light).toBe(light)
          back.samples.forEach((s, i) => {
            expect(s.name).toBe(`ink ${i}`)
            s.spectrum!.forEach((r, band) => {
              expect(r).toBeCloseTo(curves[i]![band]!, 5)
            })
            expect(s.lab!.l).toBeCloseTo(samples[i]!.lab.l, 3)
          })
        },
      ),
      { numRuns: 30 },
    )
  })
  it('a file of another make: other order of fields, percent, steps of 10, comments, both line ends, a decimal comma', () => {
    for (const text of [OTHER, OTHER.replaceAll('\r\n', '\n')]) {
      const { samples, light } = read(text)
      expect(light).toBe('D50')
      expect(samples.map((s) => s.name)).toEqual(['B1.white', 'B1.black'])
      expect(samples[0]!.lab).toEqual({ l: 61.5, a: -1.25, b: 4.5 })
      // 700 nm is the first column: 70 %; each 10 nm a percent less.
      samples[0]!.spectrum!.forEach((r, i) => {
        expect(r).toBeCloseTo(0.4 + 0.02 * i, 6)
      })
      expect(new Set(samples[1]!.spectrum)).toEqual(new Set([0.18]))
    }
  })
  it('only Lab, only curves, and no names at all', () => {
    const lab = 'CGATS\nBEGIN_DATA_FORMAT\nLAB_L LAB_A LAB_B\nEND_DATA_FORMAT\nBEGIN_DATA\n50 1 2\nEND_DATA\n'
    expect(read(lab).samples).toEqual([{ name: '1', lab: { l: 50, a: 1, b: 2 } }])
    const out = writeCgats({ samples: [{ name: 'a', spectrum: CURVE }], light: 'D65' })
    expect(out).not.toContain('LAB_L')
    expect(read(out).samples[0]).not.toHaveProperty('lab')
  })
  it('per cent or shares is told of the file, not of a sample: a deep black stays black', () => {
    const waves = Array.from({ length: 31 }, (_, i) => `NM_${400 + 10 * i}`).join(' ')
    const row = (name: string, value: number) => `${name} ${Array<number>(31).fill(value).join(' ')}`
    const file = (...rows: string[]) =>
      ['BEGIN_DATA_FORMAT', `ID ${waves}`, 'END_DATA_FORMAT', 'BEGIN_DATA', ...rows, 'END_DATA'].join('\n')
    const [black, white] = read(file(row('black', 2.4), row('white', 90))).samples
    expect(black?.spectrum?.[8]).toBeCloseTo(0.024, 6)
    expect(white?.spectrum?.[8]).toBeCloseTo(0.9, 6)
    const [share] = read(file(row('black', 0.024), row('bright', 1.2))).samples
    expect(share?.spectrum?.[8]).toBeCloseTo(0.024, 6)
  })
  it('says what is wrong and where', () => {
    expect(wrong('hello')[0]).toMatch(/no CGATS text/)
    expect(wrong('BEGIN_DATA_FORMAT\nLAB_L\nEND_DATA_FORMAT')[0]).toMatch(/no measurements/)
    const of = (fields: string, row: string) =>
      `BEGIN_DATA_FORMAT\n${fields}\nEND_DATA_FORMAT\nBEGIN_DATA\n${row}\nEND_DATA`
    expect(wrong(of('SAMPLE_ID CMYK_C', 'a 5'))[0]).toMatch(/nothing here is a colour/)
    expect(wrong(of('SAMPLE_ID LAB_L LAB_A LAB_B', 'a 50 x 3'))).toEqual(['line 5: LAB_A of a is no number.'])
    expect(wrong(of('SAMPLE_ID LAB_L LAB_A LAB_B', 'a 50 1'))[0]).toMatch(/line 5: 3 values for 4 fields/)
    expect(wrong(of('NM400 NM420 NM440 NM460', '.1 .2 .3 .4'))[0]).toMatch(/has to cover 420 to 680/)
  })
  it('readings of a rack find their inks, and a tint entered before stays', () => {
    const samples = [
      { name: 'k1.WHITE', spectrum: CURVE },
      { name: 'K1.black', spectrum: CURVE },
      { name: 'W1.white', spectrum: CURVE },
    ]
    const found = readingsFor(STARTER_RACK, { samples, light: 'D65', notes: [] })
    expect(found.map((f) => f.code)).toEqual(['K1'])
    expect(found[0]!.characterisation).toMatchObject({
      how: 'curves',
      onWhite: CURVE,
      letDown: { share: 0.02 },
    })
    const labs = ['white', 'black'].map((card) => ({ name: `Y1.${card}`, lab: { l: 80, a: 0, b: 60 } }))
    expect(
      readingsFor(STARTER_RACK, { samples: labs, light: 'D50', notes: [] })[0]!.characterisation,
    ).toMatchObject({
      how: 'labs',
      light: 'D50',
    })
  })
  it('fluorescence is told, not clipped', () => {
    const out = writeCgats({
      samples: [{ name: 'glow', spectrum: CURVE.map((r, i) => (i === 5 ? 1.2 : r)) }],
      light: 'D65',
    })
    expect(read(out).notes[0]).toMatch(/glow: Reflects 120 %/)
  })
})

const FORMULAS = [
  {
    id: 'M1',
    name: 'Comet blue, "light"',
    system: 'plastisol',
    target: { l: 61.5, a: -8.25, b: -30.125 },
    parts: [
      { code: 'W1', share: 0.7 },
      { code: 'B2', share: 0.3 },
    ],
  },
]

describe('formulas as CSV', () => {
  it('go out and come back', () => {
    expect(readFormulasCsv(formulasCsv(FORMULAS))).toEqual({ formulas: FORMULAS, problems: [] })
  })
  it('semicolons, decimal commas, a hex target and any order of columns are understood', () => {
    const { formulas, problems } = readFormulasCsv(
      'hex;percent;ink;name\n#5b9bc9;71,5;W1;Sky\n#5b9bc9;28,5;B2;Sky\n',
    )
    expect(problems).toEqual([])
    expect(formulas[0]).toMatchObject({ id: 'Sky', system: 'plastisol', target: labOfHex('#5b9bc9') })
    expect(formulas[0]!.parts[0]!.share).toBeCloseTo(0.715, 9)
  })
  it('every mistake by its line', () => {
    const text = [
      'name,ink,percent,lab_l,lab_a,lab_b,system',
      'Sky,W1,60,50,0,0,plastisol',
      'Sky,W1,40,50,0,0,plastisol',
      'Sea,W1,lots,50,0,0,plastisol',
      'Sun,Y1,100,,,,plastisol',
      'Sand,Y1,100,50,0,0,oil',
    ].join('\n')
    expect(readFormulasCsv(text).problems.map((p) => [p.line, p.column])).toEqual([
      [3, 'ink'],
      [4, 'percent'],
      [5, 'lab_l'],
      [6, 'system'],
      [2, 'percent'],
    ])
    expect(readFormulasCsv('a,b\n1,2').problems[0]?.message).toMatch(
      /Columns are missing: name, ink, percent/,
    )
  })
})

describe('stock as CSV', () => {
  const codes = new Set(STARTER_RACK.map((i) => i.code))
  it('goes out and can be booked in again', () => {
    const cans = [
      { id: 'C-0001', code: 'W1', lot: 'L 7', received: '2026-11-24', opened: undefined, mass: 4.58 },
    ]
    expect(readStockCsv(stockCsv(cans), codes)).toEqual({
      cans: [{ code: 'W1', lot: 'L 7', mass: 4.58 }],
      problems: [],
    })
  })
  it('an ink that is not on the rack, a missing lot and a weight that is none are told by line', () => {
    const { problems, cans } = readStockCsv('ink,lot,grams\nZZ,1,5\nW1,,5\nW1,1,-3\nW1,1,nan\n', codes)
    expect(cans).toEqual([])
    expect(problems.map((p) => [p.line, p.column])).toEqual([
      [2, 'ink'],
      [3, 'lot'],
      [4, 'grams'],
      [5, 'grams'],
    ])
  })
})
