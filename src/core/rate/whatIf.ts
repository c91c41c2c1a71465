import type { Quantity } from '../quantity'
import { cycleTime } from './cycle'
import { type RunTime, sustained } from './rate'
import { type CycleNeed, SKILLS, type Skill } from './times'

/** One thing changed, and the pace it would bring. */
export interface WhatIf {
  readonly id: string
  readonly label: string
  /** Sustained pieces a second. */
  readonly rate: Quantity<'rate'>
}

const NEXT: Readonly<Partial<Record<Skill, Skill>>> = { beginner: 'trained', trained: 'good', good: 'top' }

/** What one more loader, a second flash, more pallets, a faster belt or more practice would bring; best first. */
export function whatIfs({ need, most }: RunTime): readonly WhatIf[] {
  const paceOf = (changed: CycleNeed, cap: number | undefined) => {
    const own = sustained(cycleTime(changed), changed.groups.flat().length)
    return cap === undefined ? own : Math.min(own, cap)
  }
  const { press, crew, groups, flash } = need
  const ways: WhatIf[] = []
  const offer = (id: string, label: string, change: Partial<CycleNeed>, cap = most) =>
    ways.push({ id, label, rate: paceOf({ ...need, ...change }, cap) })
  if (crew.size === 'alone' && press.kind !== 'bench' && press.kind !== 'single')
    offer('loader', press.kind === 'automatic' ? 'Someone to catch' : 'A loader', {
      crew: { ...crew, size: 'loader' },
    })
  if (groups.length > 1 && press.kind !== 'bench')
    offer('flash', 'A second flash, half the dwell each', { flash: flash / 2 })
  if (press.kind === 'manual' && press.pallets < 6)
    offer('pallets', 'Six pallets', { press: { ...press, pallets: 6 } })
  const better = NEXT[crew.skill]
  if (better) offer('skill', `${SKILLS[better].label} instead`, { crew: { ...crew, skill: better } })
  if (most !== undefined) offer('belt', 'A belt twice as fast', {}, 2 * most)
  return ways.sort((a, b) => b.rate - a.rate)
}
