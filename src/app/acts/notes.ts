import { customerKey } from '@/core/order'
import { no, type Outcome } from '@/core/quantity'
import { type About, addNote, removeNote, type Subject } from '@/store/notes'
import type { At } from './kinds'

interface Written {
  readonly about: About
  readonly of: string
  readonly words: string
  readonly photos: readonly string[]
}

/** A customer is one under every way their name is typed. */
export const subjectOf = ({ about, of }: Subject): Subject => ({
  about,
  of: about === 'customer' ? customerKey(of) : of,
})

export const writeNote = ({ about, of, words, photos }: Written, { once, now }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => {
    if (words === '' && photos.length === 0) return no('Type some words, or bring a picture.')
    await addNote(tx, { ...subjectOf({ about, of }), at: now.toISOString(), words, photos })
    return { ok: true }
  })

export const forgetNote = ({ id }: { readonly id: number }, { once }: At): Promise<Outcome> =>
  once<Outcome>(async (tx) => ((await removeNote(tx, id)) ? { ok: true } : no('This note is gone already.')))
