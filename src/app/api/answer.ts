import { type Schema, ValidationError } from 'yup'
import type { System } from '@/core/quantity'
import type { Paper } from '@/formats/paper'
import { diskProblem } from '@/store/problems'

/** A JSON answer that no one keeps. */
export const json = (value: unknown, status = 200, headers: Record<string, string> = {}): Response =>
  Response.json(value, { status, headers: { 'cache-control': 'no-store', ...headers } })

/** A file to keep, by its name. */
export const file = (body: string | Buffer, type: string, name: string): Response =>
  new Response(typeof body === 'string' ? body : new Uint8Array(body), {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  })

export const nothing = (what: string): Response => json({ wrong: [`There is no ${what}.`] }, 404)

/** How something is to be printed: `?units=inch`, `?paper=letter`. */
export function printed(request: Request): { readonly units: System; readonly paper: Paper } {
  const query = new URL(request.url).searchParams
  return {
    units: query.get('units') === 'inch' ? 'inch' : 'metric',
    paper: query.get('paper') === 'letter' ? 'LETTER' : 'A4',
  }
}

/** What a request brings, if its JSON fits a schema; else the answer that says what does not. */
export async function brought<T>(request: Request, schema: Schema<T>): Promise<T | Response> {
  try {
    return await schema.validate(await request.json())
  } catch (error) {
    if (error instanceof ValidationError) return json({ wrong: error.errors }, 400)
    if (error instanceof SyntaxError) return json({ wrong: ['This is no JSON.'] }, 400)
    throw error
  }
}

/** Refuses a write that a page of another site sent through the browser. */
function foreign(request: Request): boolean {
  const origin = request.headers.get('origin')
  return origin !== null && new URL(origin).host !== request.headers.get('host')
}

/** Answers a write; what a disk can do comes back as a sentence. */
export async function write(request: Request, act: () => Promise<Response>): Promise<Response> {
  if (foreign(request)) return json({ wrong: ['This came from another site, so nothing was done.'] }, 403)
  try {
    return await act()
  } catch (error) {
    const problem = diskProblem(error)
    if (problem === undefined) throw error
    return json({ wrong: [problem] }, 507)
  }
}
