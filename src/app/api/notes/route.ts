import { database } from '@/store/database'
import { ABOUT, type About, notesAbout } from '@/store/notes'
import { subjectOf } from '../../acts/notes'
import { answered, json, nothing } from '../answer'

/** Notes about one thing: `?about=press&of=p1`, the newest first. */
export async function GET(request: Request): Promise<Response> {
  return answered(async () => {
    const asked = new URL(request.url).searchParams
    const about = asked.get('about') ?? ''
    if (!(ABOUT as readonly string[]).includes(about)) return nothing('such notes')
    const of = (asked.get('of') ?? '').slice(0, 200)
    return json({ notes: await notesAbout(await database(), subjectOf({ about: about as About, of })) })
  })
}
