import { expose } from 'comlink'
import {
  afterAll,
  type DaysKept,
  type DaysNow,
  DaysSearch,
  daysNow,
  type Happened,
  letGo,
  MOVE_PRICES,
  type MovePrice,
  type Over,
  type Proposal,
  type Put,
  put,
  type Rescue,
  Rescues,
  type ShopDays,
  shiftedBy,
} from '@/core/days'
import { keysOf } from '@/core/quantity'

let now: DaysNow | undefined
/** Counts up with every search: one that is no longer the last ends. */
let last = 0
let isPaused = false

const standing = (): DaysNow => {
  if (!now) throw new Error('no days yet')
  return now
}
const breath = () => new Promise((resume) => setTimeout(resume, isPaused ? 100 : 0))

/** Plans tried by a search for better days, for each run, and at the most. */
const TRIES = 600
const MOST = 40_000
/** So many are tried between two words of how far it is. */
const SLICE = 60

interface Heard {
  readonly share: number
  readonly proposal: Proposal | undefined
}

interface Goes {
  readonly isDone: boolean
  readonly share: number
  go(evaluations: number): void
}

/** Goes on until it is done, or another begins; says now and then how far it is. */
async function goOn(search: Goes, own: number, tell: () => void): Promise<void> {
  for (let i = 1; !search.isDone && own === last; i++) {
    if (!isPaused) search.go(SLICE)
    if (i % 8 === 0) tell()
    await breath()
  }
}

/** What is asked for from now on; whatever went on before ends. */
const begin = (): number => {
  isPaused = false
  return ++last
}

const triesFor = (runs: number) => Math.min(MOST, Math.max(2000, TRIES * runs))

const days = {
  /** The days as they stand; everything else departs from these. */
  stand: (asked: ShopDays, kept: DaysKept): DaysNow => {
    now = daysNow(asked, kept)
    return now
  },
  put: (where: Put): Proposal => put(standing(), where),
  letGo: (runId: string): Proposal => letGo(standing(), runId),
  afterAll: (what: Over): Proposal => afterAll(standing(), what),

  search: async (price: MovePrice, tell: (heard: Heard) => void): Promise<Proposal> => {
    const { kept, asked } = standing()
    const evaluations = triesFor(asked.runs.length)
    const search = new DaysSearch(standing(), kept, { price, evaluations })
    await goOn(search, begin(), () => tell({ share: search.share, proposal: search.proposal(kept) }))
    return search.proposal(kept)
  },

  /** What can be done where something has happened: shift only, then searches in which moves cost less and less. */
  replan: async (
    what: Happened,
    tell: (share: number) => void,
  ): Promise<readonly { readonly price: MovePrice | 'none'; readonly proposal: Proposal }[]> => {
    const shifted = shiftedBy(standing(), what)
    const found: { readonly price: MovePrice | 'none'; readonly proposal: Proposal }[] = [
      { price: 'none', proposal: shifted },
    ]
    const prices = keysOf(MOVE_PRICES)
    const evaluations = Math.ceil(triesFor(standing().asked.runs.length) / 3)
    const own = begin()
    for (const [i, price] of prices.entries()) {
      const search = new DaysSearch(standing(), shifted.kept, { price, evaluations })
      await goOn(search, own, () => tell((i + search.share) / prices.length))
      if (own !== last) break
      found.push({ price, proposal: search.proposal(shifted.kept) })
    }
    return found
  },

  /** Ways to have a late order earlier. */
  rescue: async (orderId: string, tell: (share: number) => void): Promise<readonly Rescue[]> => {
    const rescues = new Rescues(standing(), orderId, Math.ceil(triesFor(standing().asked.runs.length) / 4))
    await goOn(rescues, begin(), () => tell(rescues.share))
    return rescues.found()
  },

  pause: (is: boolean): void => {
    isPaused = is
  },
  stop: (): void => {
    last++
  },
}
export type DaysWorker = typeof days

expose(days)
