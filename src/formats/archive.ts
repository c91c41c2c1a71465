import * as yup from 'yup'
import { type FilmOfPrint, TURNS } from '@/core/artwork'
import { BANDS } from '@/core/color'
import { checkShelf, type ShopAndShelf } from '@/core/equipment'
import { checkHeldOrder, INK_SYSTEMS, idSchema, type Order } from '@/core/order'
import { type Decisions, decisionsSchema, inTodaysWords, orderOfRun, runIdSchema } from '@/core/plan'
import { isDay, isMoment, keysOf } from '@/core/quantity'
import {
  type HeadLock,
  type HeadTurn,
  MOST_LOCK,
  MOST_TURN,
  type ScreenStep,
  SETUP_STEPS,
} from '@/core/registration'
import { filePath, toNamedUnits, toSi } from './namedUnits'

/** An order with how far it is. */
export interface ArchivedOrder {
  readonly order: Order
  readonly deletedAt?: string
  readonly state?: 'open' | 'printing' | 'done'
  readonly endedAt?: string
}

/** Everything a shop keeps, as the archive file holds it. Revisions and the ink book are kept as they were written, in SI. */
export interface ArchiveFile<Revision, Book> {
  readonly shelf: ShopAndShelf
  readonly orders: readonly ArchivedOrder[]
  readonly decisions: readonly Decisions[]
  readonly revisions: readonly Revision[]
  readonly films: readonly FilmOfPrint[]
  readonly inkBook?: Book | undefined
  readonly locks?: readonly HeadLock[] | undefined
  readonly turns?: readonly HeadTurn[] | undefined
  readonly setups?: readonly ScreenStep[] | undefined
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

const moment = yup
  .string()
  .test('moment', 'A time is written 2026-11-24T08:30.', (x) => x === undefined || x === null || isMoment(x))
const decisions = yup.object({
  runId: runIdSchema,
  method: decisionsSchema.fields.method,
  overridesSi: decisionsSchema.fields.overrides,
  order: decisionsSchema.fields.order,
})
const revisionSchema = yup.object({
  runId: runIdSchema,
  number: yup.number().integer().min(1).required(),
  code: yup
    .string()
    .matches(/^\w{3,12}$/)
    .required(),
  releasedAt: moment.required(),
  plan: yup.object().required(),
  order: yup.object().required(),
})
/** Places on a film, metres from its top left corner. */
export const filmPlaces = yup
  .array(
    yup.object({
      x: yup.number().strict().min(-2).max(2).required(),
      y: yup.number().strict().min(-2).max(2).required(),
    }),
  )
  .max(200, 'At most 200 places.')

const filmSchema = yup.object({
  orderId: yup.string().required(),
  print: idSchema,
  id: idSchema,
  ink: yup.string().defined(),
  name: yup.string().max(300).defined(),
  hash: yup
    .string()
    .matches(/^[\da-f]{64}$/, 'A SHA-256 in hexadecimal digits.')
    .required(),
  page: yup.number().integer().min(0).required(),
  across: yup.number().moreThan(0).required(),
  down: yup.number().moreThan(0).required(),
  dpi: yup.number().moreThan(0).optional(),
  raster: yup.boolean().required(),
  negative: yup.boolean().optional(),
  opaque: yup.boolean().optional(),
  screened: yup.boolean().optional(),
  aside: yup.boolean().optional(),
  turn: yup.string().oneOf(keysOf(TURNS)).optional(),
  kept: filmPlaces.optional().default(undefined),
})
const word = yup.string().defined()
const at = moment.required()
const perhaps = moment.nullable().defined()
/** A curve as the book keeps it: JSON of numbers. */
const curve = word.test('curve', 'A curve of numbers, as JSON.', (text) => {
  try {
    const read: unknown = JSON.parse(text)
    return Array.isArray(read) && read.length === BANDS.length && read.every(Number.isFinite)
  } catch {
    return false
  }
})
const figure = yup.number().required()
const whole = yup.number().integer().required()
const rows = <S extends yup.ObjectShape>(shape: S) => yup.array(yup.object(shape)).required()
const bookSchema = yup
  .object({
    can: rows({
      id: word,
      code: word,
      lot: word,
      received: word.test('day', 'A day is written 2026-11-24.', isDay),
      opened: perhaps,
    }),
    batch: rows({
      id: word,
      name: word,
      system: word.oneOf(Object.keys(INK_SYSTEMS)),
      l: figure,
      a: figure,
      b: figure,
      run_id: word,
      hit_id: word,
      wanted: figure,
      begun: at,
      mixed: perhaps,
      expires: perhaps,
      state: word,
    }),
    batch_part: rows({ batch_id: word, place: whole, code: word, share: figure }),
    stock_entry: rows({
      id: whole,
      at,
      tub: word,
      kind: word,
      mass: figure,
      batch_id: word,
      corrects: yup.number().integer().nullable().defined(),
      note: word,
      code: yup.string().nullable().defined(),
    }),
    drawdown: rows({
      id: whole,
      batch_id: word,
      at,
      on_white: curve,
      on_black: curve,
      difference: figure,
      verdict: word,
      who: word,
    }),
  })
  .nullable()
  .default(undefined)
  .optional()
const { move, turn } = MOST_LOCK
const lockSchema = yup.object({
  pressId: idSchema.required(),
  head: yup.number().integer().min(1).max(99).required(),
  at: moment.required(),
  dx: yup.number().min(-move).max(move).required(),
  dy: yup.number().min(-move).max(move).required(),
  turn: yup.number().min(-turn).max(turn).required(),
})
const from = yup.number().min(-MOST_TURN.from).max(MOST_TURN.from).required()
const turns = yup.number().min(-MOST_TURN.turns).max(MOST_TURN.turns).required()
const turnSchema = yup.object({
  pressId: idSchema.required(),
  head: yup.number().integer().min(1).max(99).required(),
  at: moment.required(),
  ...{ left: turns, right: turns, side: turns, x: from, y: from },
  dx: yup.number().min(-MOST_TURN.move).max(MOST_TURN.move).required(),
  dy: yup.number().min(-MOST_TURN.move).max(MOST_TURN.move).required(),
  turn: yup.number().min(-MOST_TURN.turn).max(MOST_TURN.turn).required(),
})
const setupSchema = yup.object({
  runId: runIdSchema,
  hitId: idSchema.required(),
  step: yup.string().oneOf(keysOf(SETUP_STEPS)).required(),
  at: moment.required(),
})
const archiveSchema = yup.object({
  format: yup
    .string()
    .oneOf(['orvint-archive'], 'format must be "orvint-archive".')
    .required('format is missing.'),
  version: yup.number().oneOf([1], 'version must be 1.').required('version is missing.'),
  shop: yup.object().required(),
  inks: yup.array().required(),
  cloths: yup.array().required(),
  orders: yup
    .array(
      yup.object({
        order: yup.object().required(),
        deletedAt: moment.optional(),
        state: yup.string().oneOf(['open', 'printing', 'done']).optional(),
        endedAt: moment.optional(),
      }),
    )
    .required(),
  decisions: yup.array(decisions).required(),
  revisions: yup.array(revisionSchema).required(),
  films: yup.array(filmSchema).optional(),
  inkBook: bookSchema,
  locks: yup.array(lockSchema).max(100_000).optional(),
  turns: yup.array(turnSchema).max(100_000).optional(),
  setups: yup.array(setupSchema).optional(),
})

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
    locks?: readonly HeadLock[]
    turns?: readonly HeadTurn[]
    setups?: readonly ScreenStep[]
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
      locks: file.locks ?? [],
      turns: file.turns ?? [],
      setups: file.setups ?? [],
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
  yield* list('locks', source.locks ?? [], (l) => l)
  yield* list('turns', source.turns ?? [], (t) => t)
  yield* list('setups', source.setups ?? [], (s) => s)
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
