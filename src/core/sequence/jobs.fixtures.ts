import fc from 'fast-check'
import { FLASH, type Hit, type Job, type Relation, type Ring, type Role } from './hit'
import { OTHER_JOB } from './moves'

const TOPS: readonly Role[] = [
  'spot',
  'highlight',
  'black',
  'metallic',
  'expanding',
  'clear',
  'yellow',
  'magenta',
]

const anyHit = (id: string) =>
  fc.record({
    id: fc.constant(id),
    name: fc.constant(id),
    role: fc.constantFrom(...TOPS, 'spot' as const, 'spot' as const),
    L: fc.integer({ min: 5, max: 95 }),
    opacity: fc.constantFrom(0.3, 0.5, 0.8, 0.95),
    coverage: fc.constantFrom(0.05, 0.2, 0.4),
    system: fc.constantFrom('plastisol', 'plastisol', 'plastisol', 'water'),
    onBase: fc.boolean(),
  })

const WHITES: readonly (readonly Role[])[] = [[], ['base'], ['base', 'base2'], ['base', 'smoothing']]

/** Jobs of up to `most` hits: some whites, some tops, some meetings, any practice, sometimes an order by hand. */
export const anyJob = (most: number): fc.Arbitrary<Job> =>
  fc
    .record({
      whites: fc.constantFrom(...WHITES),
      tops: fc
        .integer({ min: 1, max: most - 2 })
        .chain((n) => fc.tuple(...Array.from({ length: n }, (_, i) => anyHit(`t${i}`)))),
      meets: fc.array(fc.constantFrom('touch', 'overlap', 'blend', 'apart', 'apart', 'apart'), {
        minLength: 15,
        maxLength: 15,
      }),
      darkCloth: fc.boolean(),
      flash: fc.constantFrom('where' as const, 'where' as const, 'afterBase' as const, 'every' as const),
      colourOrder: fc.constantFrom('overpower' as const, 'light' as const),
      blackTrap: fc.constantFrom('wet' as const, 'flash' as const),
      wetMost: fc.constantFrom('any' as const, 'any' as const, 'three' as const),
      byHand: fc.boolean(),
      handFlash: fc.boolean(),
    })
    .map(({ whites, tops, meets, darkCloth, flash, colourOrder, wetMost, blackTrap, byHand, handFlash }) => {
      const hits: Hit[] = [
        ...whites.map((role) => ({
          id: role,
          name: role,
          role,
          L: 92,
          opacity: role === 'smoothing' ? 0 : 0.9,
          coverage: 0.5,
          system: 'plastisol',
          onBase: false,
        })),
        ...(tops as Hit[]),
      ]
      const relations: Relation[] = []
      tops.forEach((a, i) => {
        tops.slice(i + 1).forEach((b, k) => {
          const how = meets[(i * 5 + k) % meets.length]
          if (how !== undefined && how !== 'apart') relations.push({ a: a.id, b: b.id, how, width: 0.0004 })
        })
      })
      const named = [tops[1]?.id ?? '', ...(handFlash ? [FLASH] : []), tops[0]?.id ?? '']
      const explicit = byHand && tops.length > 1 ? named : []
      return { hits, relations, darkCloth, method: { flash, colourOrder, wetMost, blackTrap }, explicit }
    })

export const anyRing: fc.Arbitrary<Ring> = fc
  .record({
    states: fc.array(fc.constantFrom('ok', 'ok', 'ok', 'noFlash', 'down', 'downFlash'), {
      minLength: 4,
      maxLength: 8,
    }),
    mounted: fc.array(fc.constantFrom('', '', '', 't0', 't1', 'base', OTHER_JOB), {
      minLength: 8,
      maxLength: 8,
    }),
    stands: fc.array(fc.constantFrom(false, false, false, true), { minLength: 8, maxLength: 8 }),
    flashUnits: fc.integer({ min: 0, max: 3 }),
    flashWidth: fc.constantFrom(1, 1, 2),
    cool: fc.integer({ min: 0, max: 2 }),
  })
  .map(({ states, mounted, stands, flashUnits, flashWidth, cool }) => ({
    kind: 'stations',
    stations: states.map((s, i) => ({
      number: i + 1,
      usable: s === 'ok' || s === 'noFlash',
      flashAllowed: s === 'ok' || s === 'downFlash',
      ...(mounted[i] && mounted.indexOf(mounted[i]) === i ? { mounted: mounted[i] } : {}),
      flashStands: stands[i] ?? false,
    })),
    flashUnits,
    flashWidth,
    cool,
  }))
