import type { FlashReading, TunnelReading } from '@/core/equipment'
import { celsius, type Kind, seconds } from '@/core/quantity'

/** One thing to write down of a reading. */
export interface ToWrite {
  readonly field: string
  readonly label: string
  readonly kind: Kind
  /** As it is before anyone wrote it; empty for what is read. */
  readonly usual?: number
}

/** A kind of reading: what to do, and what to write down. */
export interface Step {
  readonly of: string
  readonly name: string
  readonly how: string
  readonly writes: readonly ToWrite[]
  /** What it comes to is a time, or a temperature. */
  readonly kind: 'duration' | 'temperature'
  /** A gun or probe reads it. */
  readonly device: boolean
}

const PALLET = { field: 'pallet', label: 'Pallet', kind: 'temperature', usual: celsius(30) } as const

/** In the order in which they are read, on one plain white base on a white cotton tee. */
export const FLASH_STEPS: readonly (Step & { readonly of: FlashReading['of'] })[] = [
  {
    of: 'hot',
    name: 'Film after a flash',
    how: 'On a pallet of about {temperature:303.15} flash 8 s, then read the middle of the print with an infrared gun set to 0.95, and how long after the flash that was.',
    writes: [
      PALLET,
      { field: 'dwell', label: 'Flash', kind: 'duration', usual: seconds(8) },
      { field: 'delay', label: 'Read after', kind: 'duration', usual: seconds(1.5) },
      { field: 'read', label: 'The gun shows', kind: 'temperature' },
    ],
    kind: 'temperature',
    device: true,
  },
  {
    of: 'touch',
    name: 'Dry to the touch',
    how: 'The shortest flash after which a corner of the print is dry to the touch. It says more than a second film.',
    writes: [PALLET, { field: 'dwell', label: 'Shortest flash', kind: 'duration' }],
    kind: 'duration',
    device: false,
  },
  {
    of: 'pallet',
    name: 'Bare pallet after laps',
    how: 'Print at an even pace, then read the pallet straight after unloading, on tack or tape, never on bare metal. After 15 laps, better 40 to 60.',
    writes: [
      { field: 'laps', label: 'Laps', kind: 'count', usual: 15 },
      { field: 'dwell', label: 'Flash each', kind: 'duration', usual: seconds(8) },
      { field: 'lap', label: 'A lap takes', kind: 'duration', usual: seconds(60) },
      { field: 'read', label: 'The gun shows', kind: 'temperature' },
    ],
    kind: 'temperature',
    device: true,
  },
]

export const TUNNEL_STEPS: readonly Step[] = [
  {
    of: 'strip',
    name: 'Film in the tunnel',
    how: 'A wire probe or temperature strip in the print, through the whole tunnel at a known belt speed: the hottest it got.',
    writes: [
      { field: 'belt', label: 'Belt', kind: 'beltSpeed', usual: 0.04 },
      { field: 'read', label: 'Hottest', kind: 'temperature' },
    ],
    kind: 'temperature',
    device: true,
  },
]

/** What is written down so far of one reading. */
export interface Written {
  readonly key: number
  readonly of: string
  readonly values: Readonly<Record<string, number | undefined>>
}

let keys = 0
export const begun = ({ of, writes }: Step): Written => ({
  key: ++keys,
  of,
  values: Object.fromEntries(writes.map((w) => [w.field, w.usual])),
})

/** Readings that were kept, to be gone on with. */
export const keptFlash = (readings: readonly FlashReading[]): readonly Written[] =>
  readings.map(({ of, ...values }) => ({ key: ++keys, of, values }))
export const keptTunnel = (readings: readonly TunnelReading[]): readonly Written[] =>
  readings.map((values) => ({ key: ++keys, of: 'strip', values: { ...values } }))

/** Those of which everything is written down; the others wait. */
export const whole = (written: readonly Written[], steps: readonly Step[]): readonly Written[] =>
  written.filter((w) =>
    steps.find((s) => s.of === w.of)?.writes.every((write) => w.values[write.field] !== undefined),
  )
