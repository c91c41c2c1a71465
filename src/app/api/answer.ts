import { type Schema, ValidationError } from 'yup'
import type { System } from '@/core/quantity'
import type { Paper } from '@/formats/paper'
import { Unbindable } from '@/store/guard'
import { diskProblem, isMisfit } from '@/store/problems'
import { Unopenable } from '@/store/sound'
import { Cancelled, TooLong } from '../thread'

/** A JSON answer that no one keeps. */
export const json = (value: unknown, status = 200, headers: Record<string, string> = {}): Response =>
  Response.json(value, { status, headers: { 'cache-control': 'no-store', ...headers } })

/** A file to keep, by its name. */
export const file = (body: string | Buffer | ReadableStream, type: string, name: string): Response =>
  new Response(Buffer.isBuffer(body) ? new Uint8Array(body) : body, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name.replace(/[^\w.-]/g, '_')}"`,
      'cache-control': 'no-store',
    },
  })

/** A file that is written as it goes out. Leaving off the answer ends the writing. */
export function streamed(parts: AsyncGenerator<string>, type: string, name: string): Response {
  const bytes = new TextEncoder()
  const body = new ReadableStream({
    async pull(out) {
      const { value, done } = await parts.next()
      if (done) out.close()
      else out.enqueue(bytes.encode(value))
    },
    cancel: async () => {
      await parts.return(undefined)
    },
  })
  return file(body, type, name)
}

/** A request that cannot be done as it is, and what is wrong with it. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    ...wrong: readonly string[]
  ) {
    super(wrong.join('\n'))
    this.wrong = wrong
  }
  readonly wrong: readonly string[]
}

export const nothing = (what: string): Response => json({ wrong: [`There is no ${what}.`] }, 404)

const DAY_ORDERS = ['dayFirst', 'monthFirst', 'yearFirst'] as const

/** How something is to be printed: `?units=inch`, `?inches=decimals`, `?days=monthFirst`, `?paper=letter`. */
export function printed(request: Request): { readonly units: System; readonly paper: Paper } {
  const query = new URL(request.url).searchParams
  return {
    units: {
      measure: query.get('units') === 'inch' ? 'inch' : 'metric',
      decimals: query.get('inches') === 'decimals',
      dayOrder: DAY_ORDERS.find((o) => o === query.get('days')),
    },
    paper: query.get('paper') === 'letter' ? 'LETTER' : 'A4',
  }
}

const MB = 1024 ** 2
/** The most that may be sent, in bytes: an edit, many orders at once, a picture. */
export const MOST = { edit: 4 * MB, orders: 64 * MB, picture: 25 * MB } as const
/** So deep nests what a program sends by mistake or malice; ours needs about twelve levels. */
const DEEPEST = 40

/** Bytes of a request, refused before they are read when it says how long it is, else as soon as it is too long. */
export async function bytesOf(request: Request, most: number = MOST.picture): Promise<Buffer> {
  const tooMuch = () => new Refused(413, `That is too much at once: at most ${Math.round(most / MB)} MB.`)
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooMuch()
  const parts: Uint8Array[] = []
  let bytes = 0
  if (request.body)
    for await (const part of request.body as unknown as AsyncIterable<Uint8Array>) {
      bytes += part.length
      if (bytes > most) throw tooMuch()
      parts.push(part)
    }
  return Buffer.concat(parts)
}

/** Text of a request, no longer than it may be. */
export const textOf = async (request: Request, most: number = MOST.edit): Promise<string> =>
  (await bytesOf(request, most)).toString('utf8')

/** @throws Refused when the text is no JSON, or nests deeper than anything that is meant */
export function parsed(text: string): unknown {
  let depth = 0
  let quoted = false
  for (let i = 0; i < text.length; i++) {
    const c = text[i]
    if (quoted) {
      if (c === '\\') i++
      else if (c === '"') quoted = false
    } else if (c === '"') quoted = true
    else if (c === '{' || c === '[') {
      if (++depth > DEEPEST) throw new Refused(400, 'This nests too deep to be meant.')
    } else if (c === '}' || c === ']') depth--
  }
  try {
    return JSON.parse(text)
  } catch {
    throw new Refused(400, 'This is no JSON.')
  }
}

/** Text of a file of JSON; what is wrong inside is told by who reads it. @throws Refused */
export async function jobText(request: Request, most: number = MOST.edit): Promise<string> {
  const text = await textOf(request, most)
  parsed(text)
  return text
}

/** What stands against a schema, each at its place. */
export function messagesOf(error: ValidationError): readonly string[] {
  const rows = error.inner.length > 0 ? error.inner : [error]
  return rows.map((e) => (e.path ? `${e.path}: ${e.message}` : e.message))
}

/** A value that fits a schema. @throws Refused with every place that does not */
export function fitting<T>(value: unknown, schema: Schema<T>): T {
  try {
    return schema.validateSync(value, { abortEarly: false, stripUnknown: true })
  } catch (error) {
    if (error instanceof ValidationError) throw new Refused(400, ...messagesOf(error))
    if (error instanceof TypeError)
      throw new Refused(400, 'A part of it is missing or is not what it should be.')
    throw error
  }
}

/** What a request brings, if its JSON fits a schema. @throws Refused when it does not */
export const brought = async <T>(request: Request, schema: Schema<T>): Promise<T> =>
  fitting(parsed(await textOf(request)), schema)

/** Refuses a write that a page of another site sent through the browser. */
function foreign(request: Request): boolean {
  const origin = request.headers.get('origin')
  return origin !== null && (!URL.canParse(origin) || new URL(origin).host !== request.headers.get('host'))
}

/** Answers a request. Whatever goes wrong comes back in words: what was sent, what a disk can do, a fault of our own. */
export async function answered(act: () => Promise<Response>): Promise<Response> {
  try {
    return await act()
  } catch (error) {
    if (error instanceof Refused) return json({ wrong: error.wrong }, error.status)
    if (error instanceof Unbindable) return json({ wrong: [error.message] }, 400)
    if (error instanceof TooLong)
      return json({ wrong: [`${error.message} It was given up; everything else goes on.`] }, 503)
    if (error instanceof Cancelled) return json({ wrong: ['It was put away half way: ask again.'] }, 503)
    const problem = diskProblem(error)
    if (problem !== undefined) return json({ wrong: [problem] }, error instanceof Unopenable ? 503 : 507)
    if (isMisfit(error))
      return json({ wrong: ['It does not fit what is there: a number is taken, or something is gone.'] }, 409)
    console.error(error)
    return json({ wrong: ['Something broke in Orvint itself; nothing was saved.'] }, 500)
  }
}

/** Answers a write. */
export async function write(request: Request, act: () => Promise<Response>): Promise<Response> {
  if (foreign(request)) return json({ wrong: ['This came from another site, so nothing was done.'] }, 403)
  return answered(act)
}
