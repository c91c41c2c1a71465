import { describe, expect, it } from 'vitest'
import type { Rule, Setting } from '../advice'
import { ROOMS, roomOfRule, settingOf, settingWords, shownWith, whatChanges } from './rooms'

describe('the rooms of the plan', () => {
  const rules = ROOMS.flatMap((r) => Object.entries<Rule>(r.rules))
  const settings = ROOMS.flatMap((r) => Object.entries<Setting>(r.settings))
  it('have each rule and each setting once', () => {
    expect(rules.length).toBeGreaterThan(200)
    expect(new Set(rules.map(([id]) => id)).size).toBe(rules.length)
    expect(new Set(settings.map(([name]) => name)).size).toBe(settings.length)
  })
  it('say what every rule means in a whole sentence or a name to fill in', () => {
    for (const [id, { says }] of rules) expect(says.length, id).toBeGreaterThan(5)
  })
  it('settings come after settings that there are, never after themselves, and are shown in a room', () => {
    const names = new Set(settings.map(([name]) => name))
    const ids = new Set<string>(ROOMS.map((r) => r.id))
    for (const [name, s] of settings) {
      for (const a of s.after ?? []) expect(names, name).toContain(a)
      expect(s.after ?? [], name).not.toContain(name)
      if (s.shownWith !== undefined) expect(ids, name).toContain(s.shownWith)
      expect(new Set(whatChanges(name)).size, name).toBe(whatChanges(name).length)
    }
  })
  it('tell where a key is shown and what it is called', () => {
    expect(shownWith('deposit.I1')).toBe('ink')
    expect(shownWith('emulsion.base')).toBe('screen')
    expect(settingWords('mesh.base', (id) => (id === 'base' ? 'Base white' : id))).toEqual({
      label: 'Mesh, Base white',
      kind: 'meshCount',
    })
    expect(settingWords('gauge.I1')).toMatchObject({ kind: undefined })
    for (const key of ['nothing', '', 'nothing.base', 'constructor'])
      expect([settingOf(key), settingWords(key), shownWith(key), whatChanges(key)]).toEqual([
        undefined,
        undefined,
        undefined,
        [],
      ])
    expect(roomOfRule('POSITION_OUT')).toBe('screen')
    expect(roomOfRule('OLD_RULE')).toBeUndefined()
  })
})
