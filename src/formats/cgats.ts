import { BANDS, type Lab, type Spectrum, takeCurve } from '@/core/color'
import { type BaseInk, type Characterisation, USUAL_SMEAR } from '@/core/equipment'

/** One sample of a measurement file: its name, and its curve or its colour. */
export interface Sample {
  readonly name: string
  readonly spectrum?: Spectrum | undefined
  /** As the file tells it, for the light of the file. */
  readonly lab?: Lab | undefined
}

export interface Measured {
  readonly samples: readonly Sample[]
  /** Light that CIELAB in the file is told for, by its own word; D50 where it says none, as such files usually mean. */
  readonly light: 'D50' | 'D65' | 'A'
  readonly notes: readonly string[]
}

export type MeasuredRead =
  | ({ readonly ok: true } & Measured)
  | { readonly ok: false; readonly wrong: readonly string[] }

/** Field names of a wavelength, as files write them: `SPECTRAL_NM_400`, `SPECTRAL_NM400`, `NM400`, `nm400`, `SPEC_400`. */
const WAVELENGTH = /^(?:SPECTRAL_?)?(?:NM|DEC|PCT|SPEC|R)_?(\d{3})(?:NM)?$/i
/** No share of light is more, fluorescent or not. */
const SHARES_UP_TO = 3
const NAMES = ['SAMPLE_NAME', 'SAMPLE_ID', 'SAMPLEID', 'ID', 'STRING']

/** Splits a line into its words; what stands in quotation marks is one. */
const words = (line: string): readonly string[] =>
  [...line.matchAll(/"([^"]*)"|(\S+)/g)].map((m) => m[1] ?? m[2] ?? '')

/** What follows a comment sign outside of quotation marks is for people. */
const bare = (line: string): string => /^(?:[^"#]|"[^"]*")*/.exec(line)?.[0].trim() ?? ''

/**
 * Reads a CGATS text file of measurements (ANSI CGATS.17: a format and a data section between BEGIN and END lines, fields in
 * any order, comments, either line end). Reflectance in per cent or as shares; a curve goes to the bands used here, and
 * what is told of it is kept.
 */
export function readCgats(text: string): MeasuredRead {
  const lines = text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .map((line, i) => ({ at: i + 1, says: bare(line) }))
    .filter((l) => l.says !== '')
  const between = (from: string, to: string) => {
    const a = lines.findIndex((l) => l.says.toUpperCase() === from)
    const b = lines.findIndex((l, i) => i > a && l.says.toUpperCase() === to)
    return a < 0 || b < 0 ? undefined : lines.slice(a + 1, b)
  }
  const format = between('BEGIN_DATA_FORMAT', 'END_DATA_FORMAT')
  const data = between('BEGIN_DATA', 'END_DATA')
  if (!format)
    return { ok: false, wrong: ['No BEGIN_DATA_FORMAT ... END_DATA_FORMAT: this is no CGATS text.'] }
  if (!data) return { ok: false, wrong: ['No BEGIN_DATA ... END_DATA: the file has no measurements.'] }
  const fields = format.flatMap((l) => words(l.says)).map((f) => f.toUpperCase())
  const nameAt = NAMES.map((n) => fields.indexOf(n)).find((i) => i >= 0) ?? -1
  const waves = fields
    .map((f, i) => ({ i, nm: Number(WAVELENGTH.exec(f)?.[1]) }))
    .filter((w) => w.nm >= 300 && w.nm <= 900)
    .sort((a, b) => a.nm - b.nm)
  const labAt = ['LAB_L', 'LAB_A', 'LAB_B'].map((f) => fields.indexOf(f))
  const hasLab = labAt.every((i) => i >= 0)
  if (waves.length === 0 && !hasLab)
    return { ok: false, wrong: ['Neither wavelengths nor LAB_L, LAB_A, LAB_B: nothing here is a colour.'] }
  const wrong: string[] = []
  const notes: string[] = []
  // A sample may run over several lines; it ends when it has all its fields.
  const cells = data.flatMap((l) => words(l.says).map((word) => ({ word, at: l.at })))
  // Per cent or shares is how a file is written, not a sample: a black of 2.4 % stands beside a white of 90.
  const spectral = new Set(waves.map((w) => w.i))
  const highest = cells.reduce(
    (most, { word }, i) =>
      spectral.has(i % fields.length) ? Math.max(most, Number(word.replace(',', '.')) || 0) : most,
    0,
  )
  const scale = highest > SHARES_UP_TO ? 100 : 1
  const samples: Sample[] = []
  for (let begin = 0; begin < cells.length; begin += fields.length) {
    const row = cells.slice(begin, begin + fields.length)
    const line = row[0]?.at ?? 0
    if (row.length < fields.length) {
      wrong.push(`line ${line}: ${row.length} values for ${fields.length} fields.`)
      break
    }
    const number = (i: number) => Number((row[i]?.word ?? '').replace(',', '.'))
    const name = nameAt < 0 ? `${samples.length + 1}` : (row[nameAt]?.word ?? '')
    const bad = [...waves.map((w) => w.i), ...(hasLab ? labAt : [])].find((i) => !Number.isFinite(number(i)))
    if (bad !== undefined) {
      wrong.push(`line ${row[bad]?.at ?? line}: ${fields[bad]} of ${name} is no number.`)
      continue
    }
    const values = waves.map((w) => number(w.i))
    const taken =
      waves.length > 0
        ? takeCurve({ at: waves.map((w) => w.nm), values: values.map((v) => v / scale) })
        : undefined
    if (taken && !taken.ok) wrong.push(`line ${line}: ${name}: ${taken.message}`)
    if (taken?.ok) notes.push(...taken.notes.map((n) => `${name}: ${n}`))
    const [l, a, b] = labAt.map(number) as [number, number, number]
    samples.push({
      name,
      ...(taken?.ok ? { spectrum: taken.spectrum } : {}),
      ...(hasLab ? { lab: { l, a, b } } : {}),
    })
  }
  const told = lines.find((l) => /ILLUMINA/i.test(l.says))?.says ?? ''
  const light = /D65/i.test(told) ? 'D65' : /\bA\b/.test(told) ? 'A' : 'D50'
  return wrong.length > 0 ? { ok: false, wrong } : { ok: true, samples, light, notes }
}

/** Writes measurements as CGATS text, curves in shares at 20 nm, colours for the light that is told. */
export function writeCgats({ samples, light }: Omit<Measured, 'notes'>): string {
  const spectral = samples.every((s) => s.spectrum)
  const lab = samples.every((s) => s.lab)
  const fields = [
    'SAMPLE_NAME',
    ...(spectral ? BANDS.map((nm) => `SPECTRAL_NM${nm}`) : []),
    ...(lab ? ['LAB_L', 'LAB_A', 'LAB_B'] : []),
  ]
  const row = (s: Sample) =>
    [
      `"${s.name.replaceAll('"', "'")}"`,
      ...(spectral ? (s.spectrum ?? []).map((r) => r.toFixed(6)) : []),
      ...(lab && s.lab ? [s.lab.l, s.lab.a, s.lab.b].map((x) => x.toFixed(4)) : []),
    ].join(' ')
  return [
    'CGATS.17',
    'ORIGINATOR "Orvint"',
    `ILLUMINANT "${light}"`,
    'OBSERVER "2"',
    '',
    `NUMBER_OF_FIELDS ${fields.length}`,
    'BEGIN_DATA_FORMAT',
    fields.join(' '),
    'END_DATA_FORMAT',
    '',
    `NUMBER_OF_SETS ${samples.length}`,
    'BEGIN_DATA',
    ...samples.map(row),
    'END_DATA',
    '',
  ].join('\n')
}

/**
 * What a file tells of the inks of a rack: samples called by code and card, `W1.white` and `W1.black`; curves before
 * colours. A tint that was entered before stays.
 */
export const readingsFor = (
  rack: readonly BaseInk[],
  { samples, light }: Measured,
): readonly { readonly code: string; readonly characterisation: Characterisation }[] =>
  rack.flatMap(
    ({ code, characterisation: before }): { code: string; characterisation: Characterisation }[] => {
      const of = (card: string) =>
        samples.find((s) => s.name.toLowerCase() === `${code}.${card}`.toLowerCase())
      const [white, black] = [of('white'), of('black')]
      if (before.how === 'additive') return []
      const { deposit, ...letDown } =
        before.how === 'class'
          ? { deposit: USUAL_SMEAR }
          : { deposit: before.deposit, letDown: before.letDown }
      if (white?.spectrum && black?.spectrum)
        return [
          {
            code,
            characterisation: {
              how: 'curves',
              deposit,
              onWhite: white.spectrum,
              onBlack: black.spectrum,
              ...letDown,
            },
          },
        ]
      if (white?.lab && black?.lab)
        return [
          {
            code,
            characterisation: {
              how: 'labs',
              deposit,
              light,
              onWhite: white.lab,
              onBlack: black.lab,
              ...letDown,
            },
          },
        ]
      return []
    },
  )
