import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { begun, type Effect, type Session, type SessionEvent, step, unsent } from './session'

interface Note {
  readonly title: string
  readonly pieces: number
}
const NOTE: Note = { title: 'Tees', pieces: 4 }
const HELD = { value: NOTE, version: 3 }
const titled = (title: string): Note => ({ ...NOTE, title })
const ok = (version: number): SessionEvent<Note> => ({
  kind: 'answered',
  answer: { ok: true, version },
  own: undefined,
})
const late = (value: Note, version: number, own?: unknown): SessionEvent<Note> => ({
  kind: 'answered',
  answer: { ok: false, now: { value, version } },
  own,
})
const whole = (title: string): SessionEvent<Note> => ({ kind: 'whole', value: titled(title) })

/** All events in turn: where they lead, and what they asked for on the way. */
function ended(events: readonly SessionEvent<Note>[], overlays = false, from: Session<Note> = begun(HELD)) {
  const asked: Effect<Note>[] = []
  const session = events.reduce((s, event) => {
    const next = step(s, event, overlays)
    asked.push(...next.effects)
    return next.session
  }, from)
  return {
    session,
    asked,
    stored: asked.flatMap((e) => (e.do === 'store' ? [[e.value.title, e.version]] : [])),
  }
}

describe('one edit', () => {
  it('is stored over what was read, and can be undone once it is', () => {
    const { session, asked, stored } = ended([{ kind: 'typed' }, whole('Hoods'), ok(4)])
    expect(stored).toEqual([['Hoods', 3]])
    expect(asked.at(-1)).toEqual({ do: 'record', changes: [{ path: ['title'], from: 'Tees', to: 'Hoods' }] })
    expect(session).toMatchObject({
      state: 'saved',
      acknowledged: { value: { title: 'Hoods' }, version: 4 },
      line: [],
    })
    expect(unsent(session)).toBe(false)
  })
  it('that changes nothing is not sent', () =>
    expect(ended([{ kind: 'typed' }, whole('Tees')])).toMatchObject({
      stored: [],
      session: { state: 'saved' },
    }))
  it('half typed waits, and is given up for what is held', () => {
    const half = ended([{ kind: 'typed' }, { kind: 'broken' }])
    expect(half).toMatchObject({ stored: [], session: { state: 'incomplete' } })
    const given = ended([{ kind: 'reverted' }], false, half.session)
    expect(given.asked).toEqual([{ do: 'show', value: NOTE }])
    expect(given.session.state).toBe('saved')
  })
  it('refused at its fields says so there', () => {
    const errors = { title: 'Too long.' }
    const { session, asked } = ended([
      whole('Hoods'),
      { kind: 'answered', answer: { ok: false, errors }, own: undefined },
    ])
    expect(asked.at(-1)).toEqual({ do: 'mark', errors })
    expect(session).toMatchObject({ state: 'incomplete', acknowledged: HELD })
  })
})

describe('several edits', () => {
  it('go one after another, each over the one before', () => {
    const { stored, session } = ended([whole('A'), whole('B'), whole('C'), ok(4), ok(5), ok(6)])
    expect(stored).toEqual([
      ['A', 3],
      ['B', 4],
      ['C', 5],
    ])
    expect(session).toMatchObject({ state: 'saved', mine: titled('C') })
  })
  it('are not all saved while something is still typed', () =>
    expect(ended([whole('A'), { kind: 'typed' }, ok(4)]).session.state).toBe('saving'))
  it('after a full disk the next change tries again with all of it', () => {
    const full: SessionEvent<Note> = {
      kind: 'answered',
      answer: { ok: false, message: 'The disk is full.' },
      own: undefined,
    }
    const failed = ended([whole('A'), full])
    expect(failed.session).toMatchObject({ state: 'failed', problem: 'The disk is full.', mine: titled('A') })
    const again = ended([whole('B'), ok(4)], false, failed.session)
    expect(again.stored).toEqual([['B', 3]])
    expect(again.session).toMatchObject({ state: 'saved', problem: '' })
  })
})

describe('no answer', () => {
  const lost = ended([whole('A'), { kind: 'lost' }])
  it('is said, and goes along when the page is left', () => {
    expect(lost.session.state).toBe('failed')
    expect(unsent(lost.session)).toBe(true)
  })
  it('whoever goes back to what was held is stored, for it may have arrived', () => {
    const { stored, session } = ended([whole('Tees'), late(titled('A'), 4), ok(5)], false, lost.session)
    expect(stored).toEqual([
      ['Tees', 3],
      ['Tees', 4],
    ])
    expect(session).toMatchObject({ state: 'saved', mine: NOTE, conflict: undefined })
  })
})

describe('someone else', () => {
  it('saved meanwhile: both are kept until people agree, and what is agreed is stored over theirs', () => {
    const met = ended([whole('A'), late(titled('Theirs'), 7)])
    expect(met.session).toMatchObject({
      state: 'conflict',
      conflict: { base: NOTE, mine: titled('A'), theirs: titled('Theirs'), version: 7 },
    })
    const on = ended([{ kind: 'typed' }, whole('B')], false, met.session)
    expect(on).toMatchObject({ stored: [], session: { conflict: { mine: titled('B') } } })
    const agreed = ended([{ kind: 'agreed', value: titled('B') }, ok(8)], false, on.session)
    expect(agreed.stored).toEqual([['B', 7]])
    expect(agreed.session).toMatchObject({ state: 'saved', conflict: undefined })
  })
  it('was this tab itself, leaving the last page: the edit is laid on top', () => {
    const own = { ...NOTE, pieces: 9 }
    const { stored, asked } = ended([whole('A'), late(own, 4, own), ok(5)])
    expect(stored).toEqual([
      ['A', 3],
      ['A', 4],
    ])
    expect(asked).toContainEqual({ do: 'rebase', from: NOTE, onto: own })
    expect(asked).toContainEqual({ do: 'store', value: { title: 'A', pieces: 9 }, version: 4 })
  })
  it('changed another field: no conflict, both stay', () => {
    const theirs = { ...NOTE, pieces: 9 }
    const { session, asked, stored } = ended([whole('A'), late(theirs, 4), ok(5)])
    expect(asked).toContainEqual({ do: 'rebase', from: NOTE, onto: theirs })
    expect(stored).toEqual([
      ['A', 3],
      ['A', 4],
    ])
    expect(session).toMatchObject({
      state: 'saved',
      conflict: undefined,
      acknowledged: { value: { title: 'A', pieces: 9 }, version: 5 },
    })
  })
  it('made the same of the same field: no conflict either', () =>
    expect(ended([whole('A'), late({ title: 'A', pieces: 9 }, 4), ok(5)]).session).toMatchObject({
      state: 'saved',
      mine: { title: 'A', pieces: 9 },
    }))
  it('is no conflict where edits are laid over', () => {
    const { session } = ended([whole('A'), late({ ...NOTE, pieces: 9 }, 4), ok(5)], true)
    expect(session).toMatchObject({ state: 'saved', mine: { title: 'A', pieces: 9 } })
  })
  it('is shown as long as nothing here waits', () => {
    const read: SessionEvent<Note> = {
      kind: 'read',
      read: { value: titled('Theirs'), version: 9 },
      there: true,
    }
    expect(ended([read]).asked).toEqual([{ do: 'show', value: titled('Theirs') }])
    expect(ended([{ kind: 'typed' }, read]).asked).toEqual([])
    expect(ended([whole('A'), read]).session.acknowledged).toEqual(HELD)
    expect(ended([{ kind: 'read', read: HELD, there: true }]).asked).toEqual([])
  })
  it('deleted it: nothing is lost, and it is looked at again when it is back', () => {
    const gone = ended([
      whole('A'),
      { kind: 'answered', answer: { ok: false, now: undefined }, own: undefined },
      whole('B'),
    ])
    expect(gone.session).toMatchObject({ state: 'gone', mine: titled('B'), line: [] })
    const read = { value: NOTE, version: 5 }
    expect(ended([{ kind: 'read', read, there: false }], false, gone.session).asked).toEqual([])
    const back = ended([{ kind: 'read', read, there: true }, whole('B'), ok(6)], false, gone.session)
    expect(back.asked[0]).toEqual({ do: 'look' })
    expect(back.stored).toEqual([['B', 5]])
  })
})

/** A server that answers as the real one does, beside someone who saves now and then. */
it('whatever happens in whatever order, the last word here is stored or said not to be (property)', () => {
  const deed = fc.oneof(
    fc.record({ do: fc.constant('edit' as const), title: fc.constantFrom('A', 'B', 'C', 'Tees') }),
    fc.record({
      do: fc.constant('answer' as const),
      how: fc.constantFrom('ok', 'ok', 'ok', 'full', 'lost', 'lostButDone'),
    }),
    fc.record({ do: fc.constant('other' as const), pieces: fc.integer({ min: 1, max: 9 }) }),
    fc.record({ do: fc.constant('read' as const) }),
  )
  fc.assert(
    fc.property(fc.array(deed, { maxLength: 30 }), (deeds) => {
      let server = HELD
      let session = begun(HELD)
      let sent: { value: Note; version: number } | undefined
      const send = (event: SessionEvent<Note>) => {
        const next = step(session, event, true)
        session = next.session
        const asked = next.effects.flatMap((e) => (e.do === 'store' ? [e] : []))
        expect(asked.length).toBeLessThan(2)
        if (asked[0]) {
          // Never two at once.
          expect(sent).toBeUndefined()
          sent = asked[0]
        }
      }
      const answer = (how: string) => {
        if (!sent) return
        const { value, version } = sent
        sent = undefined
        const fresh = version === server.version
        if (fresh && how !== 'full' && how !== 'lost') server = { value, version: version + 1 }
        if (how === 'lost' || how === 'lostButDone') send({ kind: 'lost' })
        else if (how === 'full')
          send({ kind: 'answered', answer: { ok: false, message: 'full' }, own: undefined })
        else send(fresh ? ok(version + 1) : late(server.value, server.version))
      }
      for (const d of deeds) {
        if (d.do === 'edit') send({ kind: 'whole', value: { ...session.mine, title: d.title } })
        else if (d.do === 'answer') answer(d.how)
        else if (d.do === 'other')
          server = { value: { ...server.value, pieces: d.pieces }, version: server.version + 1 }
        else send({ kind: 'read', read: server, there: true })
      }
      while (sent) answer('ok')
      if (session.state === 'saved') {
        send({ kind: 'read', read: server, there: true })
        expect(server.value).toEqual(session.mine)
      } else expect(session.state).toBe('failed')
    }),
  )
})
