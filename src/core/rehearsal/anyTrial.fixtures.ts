import { streamsOf } from './draw'
import type { TrialEvent, TrialFlash, TrialPlan, TrialScreen } from './trialPlan'

const COLOURS = {
  base: '#f4f4f0',
  white: '#fafaf6',
  top: '#e0392f',
  black: '#191a1b',
  metallic: '#b06a3d',
  expander: '#3f7a58',
  smoothing: '#f4f4f0',
} as const satisfies Readonly<Record<TrialScreen['role'], string>>

/** Some plan that a shop could have: press, screens, flashes and cloth drawn by a seed. */
export function anyTrial(seed: number): TrialPlan {
  const d = streamsOf(seed).planting
  const hand = d.chance(0.55)
  const dark = d.chance(0.65)
  const wb = d.chance(0.15)
  const polyester = d.chance(0.15)
  const fleece = d.chance(0.12)
  const expander = !wb && d.chance(0.14)
  const metallic = !wb && d.chance(0.16)
  const process = d.chance(0.4)
  const smoothing = dark && d.chance(0.3)
  const base = dark
  const air = d.between(15, 29)
  const screen = (role: TrialScreen['role'], more: Partial<TrialScreen> = {}): TrialScreen => ({
    id: role,
    name: role,
    role,
    hex: COLOURS[role],
    opening: role === 'base' ? 85 : 64,
    wanted: role === 'base' ? 75 : 58,
    tension: d.between(22, 28),
    gap: hand ? 3 : 1.6,
    angle: 15,
    hardness: role === 'base' ? 70 : 72,
    strokes: role === 'base' && hand ? 2 : 1,
    waterBased: wb,
    overlap: 0,
    dominance: 0,
    coverage: d.between(0.1, 0.5),
    blackOnWhite: false,
    ...more,
  })
  const screens: TrialScreen[] = []
  const events: TrialEvent[] = []
  const flashes: TrialFlash[] = []
  const print = (s: TrialScreen) => {
    screens.push({ ...s, id: `${s.role}${screens.length}`, name: `${s.role} ${screens.length + 1}` })
    events.push({ kind: 'print', screen: screens.length - 1 })
  }
  const flash = () => {
    const quartz = !hand
    const needed = (quartz ? d.between(3, 3.8) : d.between(4.8, 6.2)) * (wb ? 1.2 : 1)
    flashes.push({
      quartz,
      needed,
      dwell: needed * d.between(1.05, 1.2),
      cool: hand ? d.between(14, 25) : d.between(9, 14),
    })
    events.push({ kind: 'flash', flash: flashes.length - 1 })
  }
  if (base) {
    print(screen('base', { coverage: 0.5 }))
    flash()
    if (smoothing) print(screen('smoothing', { coverage: 0.5 }))
  }
  const tops = process ? 4 : 1 + Math.floor(d.between(0, 3))
  for (let i = 0; i < tops; i++)
    print(
      screen('top', {
        ...(process && { ruling: d.between(45, 60) }),
        ...(i > 0 && { overlap: d.between(0.12, process ? 0.4 : 0.3), dominance: d.between(0.2, 0.55) }),
      }),
    )
  if (d.chance(0.35))
    print(screen('black', { ...(tops > 0 && { overlap: 0.2, dominance: 0.3 }), blackOnWhite: d.chance(0.3) }))
  if (metallic) {
    const particle = d.between(35, 45)
    print(screen('metallic', { particle, opening: 3.6 * particle, wanted: 120, overlap: 0 }))
  }
  if (expander) print(screen('expander', { opening: 125, wanted: 120, overlap: 0 }))
  if (dark && d.chance(0.4)) {
    flash()
    print(screen('white', { opening: 66, wanted: 62 }))
  }
  const low = polyester
  const target = low ? 132 : expander ? 165 : 160
  return {
    ...{ hand, air, screens, flashes, events },
    boards: hand ? (d.chance(0.8) ? 6 : 1) : 14,
    aluminium: d.chance(0.6),
    pieces: Math.round(d.between(60, 300)),
    pace: hand ? d.between(24, 40) : d.between(8, 14),
    cure: { target, limit: target + (low ? 18 : 28), seconds: d.between(45, 70), low },
    ...(base && { choke: d.between(0.22, 0.4) }),
    cloth: { hex: dark ? '#1f2a44' : '#f4f4f0', dark, polyester, fibre: fleece ? 0.62 : 0.42 },
    cover: 1,
    tackEvery: 12,
    inkEvery: Math.round(d.between(22, 30)),
    timer: d.chance(0.6),
  }
}
