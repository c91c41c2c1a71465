import { printFilms, readingOf } from '../../../../../../films/printFilms'
import { Cancelled } from '../../../../../../thread'
import { answered, nothing } from '../../../../../answer'

interface Context {
  readonly params: Promise<{ id: string; print: string }>
}

/** Reads the films of a print: one JSON line for each step as it comes. Leaving off the answer cancels the reading. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id, print } = await params
    const own = await printFilms(id, print)
    if (own.films.length === 0) return nothing(`film of print ${print} in order ${id}`)
    const given = new AbortController()
    request.signal.addEventListener('abort', () => given.abort())
    const lines = new TextEncoder()
    const body = new ReadableStream({
      async start(out) {
        // A word of the thread may come after its answer.
        let open = true
        const say = (line: unknown) => {
          if (open && !given.signal.aborted) out.enqueue(lines.encode(`${JSON.stringify(line)}\n`))
        }
        try {
          const reading = await readingOf(
            own,
            (r) => say('film' in r ? { ...r, film: own.films[r.film]?.id } : r),
            given.signal,
            'now',
          )
          if (!('ok' in reading)) say({ step: 'known', reading })
          else
            for (const { film, problem } of reading.wrong)
              say({ step: 'wrong', film: own.films[film]?.id, problem })
        } catch (error) {
          if (!(error instanceof Cancelled)) {
            console.error(error)
            say({ step: 'failed' })
          }
        }
        open = false
        if (!given.signal.aborted) out.close()
      },
      cancel: () => given.abort(),
    })
    return new Response(body, {
      headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
    })
  })
}
