import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import type { Order } from '@/core/order'
import { noDecisions } from '@/core/plan'
import { writeJob } from '@/formats'
import { DEMO_SHOP, demoOrders } from '@/store/demo'
import type { ActGiven, ActName } from './acts/table'

export const HOST = 'http://127.0.0.1:3000'
export const AT = '2026-11-24T09:00'
export const API = join(import.meta.dirname, 'api')
export const RUN = 'R-1001-P1-dark'
export const once = () => crypto.randomUUID()

/** Every file under a folder. */
export const filesIn = (folder: string): readonly string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((f) => join(folder, f))
/** Routes by their address, as the folders name it: `orders/[id]/job`. */
export const ROUTES = filesIn(API)
  .filter((f) => f.endsWith('route.ts'))
  .map((f) => f.slice(API.length + 1, -'/route.ts'.length))
export type Handler = (
  request: Request,
  context: { params: Promise<Record<string, string>> },
) => Promise<Response>
export const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const
export const handlersOf = async (route: string) => {
  const found = (await import(/* @vite-ignore */ join(API, route, 'route.ts'))) as Record<string, Handler>
  return METHODS.flatMap((method) => (found[method] ? [{ method, handler: found[method] }] : []))
}

/** Parameters of an address that lead somewhere. */
export const GOOD: Readonly<Record<string, string>> = {
  id: 'O-1001',
  print: 'P1',
  kind: 'order',
  name: 'pour',
  code: 'AAAAA',
  hash: 'a'.repeat(64),
}
export const [order] = demoOrders('2026-11-23') as [Order]
export const job = JSON.parse(writeJob({ order, shop: DEMO_SHOP, decisions: noDecisions(RUN) }))

export const NEW_BATCH = {
  name: 'Comet blue',
  system: 'plastisol',
  target: { l: 61, a: -8, b: -30 },
  parts: [{ code: 'W1', share: 1 }],
  runId: RUN,
  hitId: 'I2',
  wanted: 0.6,
}
export const curve = Array.from({ length: 16 }, () => 0.4)
/** What each act takes, whole: an act without a sample does not compile. */
export const GIVEN: { readonly [N in ActName]: ActGiven<N> } = {
  newOrder: {},
  setUpShop: { template: 'manual', name: 'Corner prints' },
  keepDays: {
    kept: {
      choice: {
        order: ['R-1001-P1-dark'],
        press: { 'R-1001-P1-dark': 'four' },
        overtime: { four: ['2026-11-24'] },
      },
      pins: [{ runId: 'R-1001-P1-dark', pressId: 'four', at: 1_795_600_000 }],
      down: [{ pressId: 'six', from: 1_795_600_000, to: 1_795_620_000 }],
      helped: ['R-1001-P1-dark'],
      otherwise: {
        away: [{ personId: 'person1', first: '2026-11-24', last: '2026-11-25' }],
        garments: [{ orderId: 'O-1001', on: '2026-11-26' }],
        longer: [{ runId: 'R-1001-P1-dark', by: 3600 }],
      },
      settled: { 'R-1001-P1-dark': 'four' },
    },
    seen: 0,
  },
  sayAir: { air: { temperature: 281, humidity: 0.9 } },
  removeOrder: { id: 'O-1009' },
  restoreOrder: { id: 'O-1009' },
  sayOfCustomer: { name: 'Tide Observatory', leadDays: 2, whiteLook: 'soft', rules: 'Always soft hand' },
  mergeCustomer: { from: 'Tide Observatory', to: 'Tarnquay Regatta' },
  copyFrom: { id: 'O-1008', from: 'O-1001' },
  tellBroke: { runId: 'R-1001-P1-dark', frameId: 'F1', what: 'stencil' },
  countCan: { canId: 'C-0001', mass: 0.4, at: '2026-11-24T08:30' },
  writeNote: { about: 'press', of: 'p1', words: 'Head 3 prints light', photos: ['a'.repeat(64)] },
  forgetNote: { id: 1 },
  markOrder: { id: 'O-1008', mark: 'printing', is: true },
  releaseRun: { runId: RUN, seen: { order: 1, decisions: 1, shop: 1, revision: 0 } },
  applyChanges: {
    edited: { kind: 'order', id: 'O-1001' },
    changes: [{ path: ['notes'], from: order.notes, to: 'New' }],
  },
  find: { text: 'tern' },
  noteTurn: {
    ...{ pressId: 'six', head: 3, at: AT, left: 2, right: 0, side: 0, back: false, x: 0, y: -0.335 },
    ...{ dx: 1e-3, dy: 1.2e-3, turn: -4.8e-3 },
  },
  noteLock: { pressId: 'six', head: 3, at: AT, dx: 1e-4, dy: -5e-5, turn: 2e-4 },
  reorder: { id: 'O-1001' },
  duplicate: { id: 'O-1001' },
  takeIntoPlan: { runId: 'R-1001-P1-dark', setting: 'cureFilm', value: 435 },
  planSetup: { perScreen: 480 },
  putAway: { runId: 'R-1001-P1-dark', frameId: 'F-001', keep: true },
  forgetLock: { pressId: 'six', head: 3 },
  forgetTurn: { pressId: 'six', head: 3 },
  shareBelt: { runs: ['R-1001-P1-dark', 'R-1003-P1-dark'], dryer: 'one' },
  beginBatch: { batch: NEW_BATCH, at: AT },
  receiveCans: { cans: [{ code: 'W1', lot: 'L7', mass: 1 }], at: AT },
  pour: { batchId: 'B-0005', canId: 'C-0001', mass: 0.01, at: AT },
  undoPour: { batchId: 'B-0005', at: AT },
  setAdditive: { batchId: 'B-0005', code: 'EX', share: 0.1 },
  restoreBatch: { batchId: 'B-0005', wanted: 0.7, out: 0, at: AT },
  finishMix: { batchId: 'B-0005', at: AT, expires: AT },
  moveInk: { batchId: 'B-0001', mass: -0.001, kind: 'used', note: '', at: AT },
  addDrawdown: {
    batchId: 'B-0001',
    drawdown: { at: AT, onWhite: curve, onBlack: curve, difference: 1, verdict: 'read', who: '' },
  },
  backUpNow: {},
  restoreBackup: { name: 'orvint-2026-01-01-000000.sqlite' },
}
/** Bodies that routes take, by address and method; the rest take none. */
export const BODIES: Readonly<Record<string, unknown>> = {
  'POST save/[kind]': { id: order.id, value: order, version: 1 },
  'POST plan': job,
  'POST orders/import': [{ ...order, id: 'O-3001' }],
  'PUT orders/[id]/job': job,
  'POST orders/[id]/films/[print]/measure': {
    pushes: [{ dx: 0.001, dy: 0, rotation: 0 }],
    tolerance: 0.0005,
    base: 0,
    needing: [1],
    others: [0],
  },
  'PATCH orders/[id]/films/[print]': {
    ink: 'I1',
    dpi: 300,
    negative: false,
    opaque: false,
    screened: true,
    turn: 'mirrored',
    aside: false,
    kept: [{ x: 0.1, y: 0.1 }],
  },
  'POST orders/[id]/films/[print]/join': { film: 0 },
  'POST orders/[id]/films/[print]/mend': { film: 0, by: 0.0003, needing: [1] },
  'POST runs/[id]/record': {
    events: [
      {
        ...{ id: '0123456789abcdef', pad: 'P1', seq: 1, at: '2026-11-23T09:00:00.000Z' },
        ...{ kind: 'spoil', line: 'G1', size: 'M', n: 1, cause: 'lint' },
      },
    ],
  },
  'POST photos': 'no picture at all',
  'POST recover': { name: 'orvint-2026-01-01-000000.sqlite' },
  'POST archive': { format: 'orvint-archive', version: 1 },
  'POST act/[name]': { once: '0123456789abcdef', given: GIVEN.pour },
  'POST orders/[id]/films/[print]': 'no film at all',
}
