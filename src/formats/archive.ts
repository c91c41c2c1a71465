import * as yup from 'yup'
import type { FilmOfPrint } from '@/core/artwork'
import type { DaysKept } from '@/core/days'
import { checkShelf, type ShopAndShelf } from '@/core/equipment'
import { type Customer, checkHeldOrder, type Order, type OrderState, type Said } from '@/core/order'
import { type Decisions, inTodaysWords, orderOfRun } from '@/core/plan'
import type { PressEvent } from '@/core/record'
import type { HeadLock, HeadTurn } from '@/core/registration'
import { archiveSchema } from './archiveSchema'
import { filePath, toNamedUnits, toSi } from './namedUnits'

/** An order with how far it is. */
export interface ArchivedOrder {
  readonly order: Order
  readonly deletedAt?: string
  readonly state?: OrderState
  readonly said?: Said
  readonly endedAt?: string
}

/** Words and pictures about a thing of the shop. */
interface HeldNote {
  readonly about: 'order' | 'print' | 'press' | 'frame' | 'customer'
  readonly of: string
  readonly at: string
  readonly words: string
  readonly photos: readonly string[]
}

/** Everything a shop keeps, as the archive file holds it. Revisions and the ink book are kept as they were written, in SI. */
export interface ArchiveFile<Revision, Book> {
  readonly shelf: ShopAndShelf
  readonly orders: readonly ArchivedOrder[]
  readonly decisions: readonly Decisions[]
  readonly revisions: readonly Revision[]
  readonly films: readonly FilmOfPrint[]
  readonly inkBook?: Book | undefined
  readonly customers?: readonly Customer[] | undefined
  readonly notes?: readonly HeldNote[] | undefined
  readonly locks?: readonly HeadLock[] | undefined
  readonly days?: DaysKept | undefined
  readonly turns?: readonly HeadTurn[] | undefined
  readonly atPress?: readonly { readonly runId: string; readonly event: PressEvent }[] | undefined
}

/** The same while it is read from somewhere, a few rows at a time. */
export type ArchiveSource<Revision, Book> = {
  readonly [K in keyof ArchiveFile<Revision, Book>]: ArchiveFile<
    Revision,
    Book
  >[K] extends readonly (infer Row)[]
    ? AsyncIterable<Row> | Iterable<Row>
    : ArchiveFile<Revision, Book>[K]
}

export type ArchiveRead<Revision, Book> =
  | { readonly ok: true; readonly archive: ArchiveFile<Revision, Book> }
  | { readonly ok: false; readonly wrong: readonly string[] }

interface OldBook {
  readonly inkBook?: {
    readonly stock_entry?: readonly ({
      readonly kind?: unknown
      readonly code?: unknown
      readonly note?: unknown
    } | null)[]
  }
}

/** Older archives have in the note which ink went into a tub: `of W1`. */
function withCodes(raw: OldBook | null): unknown {
  const entries = raw?.inkBook?.stock_entry
  if (!Array.isArray(entries)) return raw
  const known = entries.map((e) => {
    if (typeof e !== 'object' || e === null || e.code !== undefined) return e
    const poured = e.kind === 'mixed' || e.kind === 'corrected'
    const of = poured && typeof e.note === 'string' && e.note.startsWith('of ') ? e.note.slice(3) : undefined
    return of === undefined ? { ...e, code: null } : { ...e, code: of, note: '' }
  })
  return { ...raw, inkBook: { ...raw?.inkBook, stock_entry: known } }
}

/** Steps of the set-up were once kept by themselves, at local times. */
interface OldStep {
  readonly runId: string
  readonly hitId: string
  readonly step: string
  readonly at: string
}

const ofStep = ({ runId, hitId, step, at }: OldStep, i: number): { runId: string; event: PressEvent } => ({
  runId,
  event: {
    ...{ id: `setup-step-${`${i}`.padStart(8, '0')}`, pad: 'register', seq: i },
    ...{ at: new Date(at).toISOString(), kind: 'tick', step: `head.${step}`, hit: hitId },
  },
})

const sure = <T>(value: unknown): T => value as T

/** Reads the text of an archive; every mistake as `place: message`, in the names the file uses. */
export function readArchiveFile<Revision, Book>(text: string): ArchiveRead<Revision, Book> {
  let raw: unknown
  try {
    raw = withCodes(inTodaysWords(JSON.parse(text)) as OldBook | null)
    archiveSchema.validateSync(raw, { abortEarly: false, strict: true })
  } catch (error) {
    if (error instanceof yup.ValidationError) {
      const rows = error.inner.length > 0 ? error.inner : [error]
      return { ok: false, wrong: rows.map((e) => `${e.path || 'file'}: ${e.message}`) }
    }
    if (error instanceof SyntaxError) return { ok: false, wrong: [`Not JSON: ${error.message}`] }
    return { ok: false, wrong: ['file: A part of it is missing or is not what it should be.'] }
  }
  const file = sure<{
    shop: unknown
    inks: unknown
    cloths: unknown
    orders: readonly (Omit<ArchivedOrder, 'order'> & { order: unknown })[]
    decisions: readonly (Omit<Decisions, 'overrides'> & { overridesSi: Decisions['overrides'] })[]
    revisions: readonly Revision[]
    films?: readonly FilmOfPrint[]
    inkBook?: Book
    customers?: readonly Customer[]
    notes?: readonly HeldNote[]
    locks?: readonly HeadLock[]
    days?: DaysKept
    turns?: readonly HeadTurn[]
    setups?: readonly OldStep[]
    atPress?: readonly (PressEvent & { readonly runId: string })[]
  }>(raw)
  const shelf = checkShelf(toSi({ shop: file.shop, inks: file.inks, cloths: file.cloths }))
  const orders = file.orders.map(({ order, ...state }) => ({ checked: checkHeldOrder(toSi(order)), state }))
  const ids = orders.flatMap(({ checked }) => (checked.ok ? [checked.value.id] : []))
  const known = new Set(ids)
  const wrong = [
    ...(shelf.ok ? [] : problems(shelf.errors, '')),
    ...orders.flatMap(({ checked }, i) =>
      checked.ok ? [] : problems(checked.errors, `orders[${i}].order.`),
    ),
    ...ids.flatMap((id, i) =>
      ids.indexOf(id) < i ? [`orders[${i}].order.id: ${id} stands in it twice.`] : [],
    ),
    ...[...file.decisions, ...(file.revisions as readonly { runId: string }[])].flatMap(({ runId }) =>
      known.has(orderOfRun(runId) ?? '') ? [] : [`runs: ${runId} is of an order that is not in the file.`],
    ),
    ...(file.films ?? []).flatMap(({ orderId }, i) =>
      known.has(orderId) ? [] : [`films[${i}].orderId: ${orderId} is not in the file.`],
    ),
  ]
  if (!shelf.ok || wrong.length > 0) return { ok: false, wrong }
  return {
    ok: true,
    archive: {
      shelf: shelf.value,
      orders: orders.flatMap(({ checked, state }) =>
        checked.ok ? [{ order: checked.value, ...state }] : [],
      ),
      decisions: file.decisions.map(({ overridesSi, ...d }) => ({ ...d, overrides: overridesSi })),
      revisions: file.revisions,
      films: file.films ?? [],
      inkBook: file.inkBook ?? undefined,
      customers: file.customers ?? [],
      notes: file.notes ?? [],
      locks: file.locks ?? [],
      days: file.days,
      turns: file.turns ?? [],
      atPress: [
        ...(file.setups ?? []).map(ofStep),
        ...(file.atPress ?? []).map(({ runId, ...event }) => ({ runId, event })),
      ],
    },
  }
}

const problems = (errors: Readonly<Record<string, string>>, before: string) =>
  Object.entries(errors).map(([path, message]) => `${before}${filePath(path)}: ${message}`)

/** Writes an archive, piece by piece: quantities carry their units in their names, as in the job file. */
export async function* archiveText<Revision, Book>(
  source: ArchiveSource<Revision, Book>,
): AsyncGenerator<string> {
  const facts = toNamedUnits(source.shelf) as object
  yield JSON.stringify({ format: 'orvint-archive', version: 1, ...facts }, null, 1).slice(0, -2)
  yield* list('orders', source.orders, toNamedUnits)
  yield* list('decisions', source.decisions, ({ overrides, ...d }) => ({ ...d, overridesSi: overrides }))
  yield* list('revisions', source.revisions, (r) => r)
  yield* list('films', source.films, (f) => f)
  yield* list('customers', source.customers ?? [], (c) => c)
  yield* list('notes', source.notes ?? [], ({ about, of, at, words, photos }) => ({
    about,
    of,
    at,
    words,
    photos,
  }))
  yield* list('locks', source.locks ?? [], (l) => l)
  yield* list('turns', source.turns ?? [], (t) => t)
  yield* list('atPress', source.atPress ?? [], ({ runId, event }) => ({ runId, ...event }))
  if (source.days) yield `,\n "days": ${JSON.stringify(source.days)}`
  yield `,\n "inkBook": ${JSON.stringify(source.inkBook ?? null)}\n}\n`
}

async function* list<Row>(
  name: string,
  rows: AsyncIterable<Row> | Iterable<Row>,
  write: (row: Row) => unknown,
): AsyncGenerator<string> {
  yield `,\n "${name}": [`
  let first = true
  for await (const row of rows) {
    yield `${first ? '' : ','}\n  ${JSON.stringify(write(row))}`
    first = false
  }
  yield first ? ']' : '\n ]'
}
