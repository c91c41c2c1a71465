import type { ActAnswer, ActGiven, ActName } from './table'

/** Told when something was done, so that the page shows it. */
export const ACTED = 'orvint:acted'

/** Works on pages that came without a certificate too, unlike `crypto.randomUUID`. */
export const onceId = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join(
    '',
  )

/** How often a request is sent whose answer did not come, and how long it waits in between, milliseconds. */
const TRIES = 3
const WAIT = 700

/**
 * Asks the server to do something. Sent again with the same id when no answer comes: it is done once.
 *
 * @returns what came of it; what a person, a disk or the network can cause is a sentence (`ok: false`)
 */
export async function act<N extends ActName>(name: N, given: ActGiven<N>): Promise<ActAnswer<N>> {
  const body = JSON.stringify({ once: onceId(), given })
  const answer = await sent(`/api/act/${name}`, body)
  if (answer === undefined)
    return { ok: false, message: 'Orvint does not answer: look whether it is still running, then try again.' }
  const said = (await answer.json()) as ActAnswer<N> | { readonly wrong: readonly string[] }
  if ('wrong' in said) return { ok: false, message: said.wrong.join(' ') }
  window.dispatchEvent(new Event(ACTED))
  return said
}

async function sent(path: string, body: string): Promise<Response | undefined> {
  for (let left = TRIES; left > 0; left--) {
    const answer = await fetch(path, { method: 'POST', body }).catch(() => undefined)
    if (answer) return answer
    if (left > 1) await new Promise((resume) => setTimeout(resume, WAIT))
  }
  return undefined
}
