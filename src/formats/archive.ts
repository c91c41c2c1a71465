import * as yup from 'yup'
import { checkShelf, type ShopAndShelf } from '@/core/equipment'
import { checkOrder, type Order } from '@/core/order'
import type { Decisions } from '@/core/plan'
import { filePath, toNamedUnits, toSi } from './namedUnits'

/** Everything a shop keeps, as the archive file holds it. Revisions and the ink book are kept as they were written, in SI. */
export interface ArchiveFile<Revision, Book> {
  readonly shelf: ShopAndShelf
  readonly orders: readonly { readonly order: Order; readonly deletedAt?: string }[]
  readonly decisions: readonly Decisions[]
  readonly revisions: readonly Revision[]
  readonly inkBook?: Book | undefined
}

export type ArchiveRead<Revision, Book> =
  | { readonly ok: true; readonly archive: ArchiveFile<Revision, Book> }
  | { readonly ok: false; readonly wrong: readonly string[] }

const decisionsSchema = yup.object({
  runId: yup.string().required(),
  method: yup.object().required(),
  overridesSi: yup.object().required(),
  order: yup.array(yup.string().required()).required(),
})
const revisionSchema = yup.object({
  runId: yup.string().required(),
  number: yup.number().integer().min(1).required(),
  code: yup.string().required(),
  releasedAt: yup.string().required(),
  plan: yup.object().required(),
  order: yup.object().required(),
})
const word = yup.string().defined()
const perhaps = yup.string().nullable().defined()
const figure = yup.number().required()
const whole = yup.number().integer().required()
const rows = <S extends yup.ObjectShape>(shape: S) => yup.array(yup.object(shape)).required()
const bookSchema = yup
  .object({
    can: rows({ id: word, code: word, lot: word, received: word, opened: perhaps }),
    batch: rows({
      id: word,
      name: word,
      system: word,
      l: figure,
      a: figure,
      b: figure,
      run_id: word,
      hit_id: word,
      wanted: figure,
      begun: word,
      mixed: perhaps,
      expires: perhaps,
      state: word,
    }),
    batch_part: rows({ batch_id: word, place: whole, code: word, share: figure }),
    stock_entry: rows({
      id: whole,
      at: word,
      vessel: word,
      kind: word,
      mass: figure,
      batch_id: word,
      corrects: yup.number().integer().nullable().defined(),
      note: word,
    }),
    drawdown: rows({
      id: whole,
      batch_id: word,
      at: word,
      on_white: word,
      on_black: word,
      difference: figure,
      verdict: word,
      who: word,
    }),
  })
  .default(undefined)
  .optional()
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
    .array(yup.object({ order: yup.object().required(), deletedAt: yup.string().optional() }))
    .required(),
  decisions: yup.array(decisionsSchema).required(),
  revisions: yup.array(revisionSchema).required(),
  inkBook: bookSchema,
})

const sure = <T>(value: unknown): T => value as T

/** Reads the text of an archive; every mistake as `place: message`, in the names the file uses. */
export function readArchiveFile<Revision, Book>(text: string): ArchiveRead<Revision, Book> {
  let raw: unknown
  try {
    raw = JSON.parse(text)
    archiveSchema.validateSync(raw, { abortEarly: false, strict: true })
  } catch (error) {
    if (error instanceof yup.ValidationError) {
      const rows = error.inner.length > 0 ? error.inner : [error]
      return { ok: false, wrong: rows.map((e) => `${e.path || 'file'}: ${e.message}`) }
    }
    return { ok: false, wrong: [`Not JSON: ${(error as Error).message}`] }
  }
  const file = sure<{
    shop: unknown
    inks: unknown
    cloths: unknown
    orders: readonly { order: unknown; deletedAt?: string }[]
    decisions: readonly (Omit<Decisions, 'overrides'> & { overridesSi: Decisions['overrides'] })[]
    revisions: readonly Revision[]
    inkBook?: Book
  }>(raw)
  const shelf = checkShelf(toSi({ shop: file.shop, inks: file.inks, cloths: file.cloths }))
  const orders = file.orders.map(({ order, deletedAt }) => ({ checked: checkOrder(toSi(order)), deletedAt }))
  const wrong = [
    ...(shelf.ok ? [] : told(shelf.errors, '')),
    ...orders.flatMap(({ checked }, i) => (checked.ok ? [] : told(checked.errors, `orders[${i}].order.`))),
  ]
  if (!shelf.ok || wrong.length > 0) return { ok: false, wrong }
  return {
    ok: true,
    archive: {
      shelf: shelf.value,
      orders: orders.flatMap(({ checked, deletedAt }) =>
        checked.ok ? [{ order: checked.order, ...(deletedAt === undefined ? {} : { deletedAt }) }] : [],
      ),
      decisions: file.decisions.map(({ overridesSi, ...d }) => ({ ...d, overrides: overridesSi })),
      revisions: file.revisions,
      inkBook: file.inkBook,
    },
  }
}

const told = (errors: Readonly<Record<string, string>>, before: string) =>
  Object.entries(errors).map(([path, message]) => `${before}${filePath(path)}: ${message}`)

/** Writes an archive: quantities carry their units in their names, as in the job file. */
export function writeArchiveFile<Revision, Book>({
  shelf,
  orders,
  decisions,
  revisions,
  inkBook,
}: ArchiveFile<Revision, Book>): string {
  const facts = toNamedUnits({ ...shelf, orders }) as object
  return `${JSON.stringify(
    {
      format: 'orvint-archive',
      version: 1,
      ...facts,
      decisions: decisions.map(({ overrides, ...d }) => ({ ...d, overridesSi: overrides })),
      revisions,
      inkBook,
    },
    null,
    1,
  )}\n`
}
