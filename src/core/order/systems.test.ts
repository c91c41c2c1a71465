import { describe, expect, it } from 'vitest'
import { driesInScreen, INK_SYSTEMS, type InkSystem, orderedSystem, SYSTEMS, systemFacts } from './index'

const ALL = [...Object.keys(INK_SYSTEMS), 'discharge'] as InkSystem[]

describe('ink systems', () => {
  // Facts of the trade: plastisol has nothing to evaporate and stays open; water-based inks dry where they lie.
  it('only plastisol stays open in the screen and leaves all of its film', () => {
    expect(ALL.filter((s) => !driesInScreen(s))).toEqual(['plastisol'])
    for (const s of ALL) {
      const { solids, drunk, driesInScreen } = systemFacts(s)
      expect(solids === 1).toBe(!driesInScreen)
      expect(solids).toBeGreaterThan(0)
      expect(drunk).toBeGreaterThan(0)
      expect(drunk).toBeLessThan(0.5)
    }
  })
  it('more water leaves less and is drunk more', () => {
    const by = (fact: 'solids' | 'drunk') => ALL.map((s) => systemFacts(s)[fact])
    expect(by('solids')).toEqual([...by('solids')].sort((a, b) => b - a))
    expect(by('drunk')).toEqual([...by('drunk')].sort((a, b) => a - b))
  })
  it('a word that no one knows is no system', () => {
    for (const word of ['', 'house', 'constructor', 'oil']) expect(driesInScreen(word)).toBe(false)
  })
  it('an ink of the shelf is of the house only where that is the house’s', () => {
    expect(orderedSystem('plastisol', 'plastisol')).toBe('house')
    // In a water-based house a tub of plastisol stays plastisol.
    expect(orderedSystem('plastisol', 'waterBased')).toBe('plastisol')
    expect(orderedSystem('waterBased', 'waterBased')).toBe('house')
    expect(orderedSystem('highSolids', 'plastisol')).toBe('highSolids')
    for (const word of ['house', '', 'toString']) expect(orderedSystem(word, 'plastisol')).toBe('house')
    for (const s of ALL)
      for (const house of ALL) expect(Object.keys(SYSTEMS)).toContain(orderedSystem(s, house))
  })
})
