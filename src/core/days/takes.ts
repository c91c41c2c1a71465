import { canRun, isOnShared } from '../equipment'
import type { Begun, DayFacts, ShopDays } from './facts'
import type { DaysProblem, Takes } from './problem'

/** Of a set-up so much is left where the screens hang already: they are checked and inked (assumed). */
const STAYS = 0.15
/** Dark ink out of the wells before light, and any other ink, min for a press (assumed). */
const DARK_TO_LIGHT = 10
const OTHER_INK = 4
/** Of that the white of a base that stays in its place saves so much, min (assumed). */
const BASE_STAYS = 2
/** Lightness by which an ink is lighter than the one before, L*. */
const LIGHTER = 30

export const screensKey = ({ orderId, print }: Pick<DayFacts, 'orderId' | 'print'>): string =>
  `${orderId}.${print}`

/** Its garments are counted in, and some came. */
export const isIn = ({ garmentsIn }: ShopDays, { orderId, pieces, short = 0 }: DayFacts): boolean =>
  garmentsIn.includes(orderId) && short < pieces

/** Share of its pieces that can be printed: what was counted in short is not there. */
const thereOf = (asked: ShopDays, run: DayFacts): number =>
  isIn(asked, run) ? 1 - (run.short ?? 0) / Math.max(1, run.pieces) : 1

/** Pieces that were counted in short and are not printed with the others. */
export const shortOf = (asked: ShopDays, run: DayFacts): number => (isIn(asked, run) ? (run.short ?? 0) : 0)

/** Somebody can run the press, or nobody is named at all; and the run is not held to another. */
const isOpenTo = ({ shop: { people }, only }: ShopDays, { runId }: DayFacts, pressId: string): boolean =>
  (people === undefined || people.some((p) => canRun(p, pressId))) && (only?.[runId] ?? pressId) === pressId

/** Pallets that a press prints a run on and that go from press to press, by their kind. */
function palletsFor({ sharedPallets }: ShopDays['shop'], { where }: DayFacts, pressId: string) {
  const kind = sharedPallets?.findIndex((s) => where !== undefined && isOnShared(s, where, pressId)) ?? -1
  return kind < 0 ? undefined : kind
}

/**
 * What a run takes on a press.
 *
 * @param begun where it is printed now, and what is left of it
 * @returns undefined where it cannot be printed there
 */
export function takesOf(
  asked: ShopDays,
  run: DayFacts,
  pressId: string,
  begun: Begun | undefined,
): Takes | undefined {
  const on = run.on.find((o) => o.pressId === pressId)
  if (!on || (begun ? begun.pressId !== pressId : !isOpenTo(asked, run, pressId))) return undefined
  const helped = asked.helped?.includes(run.runId) ? on.helped : undefined
  const dryerAt = asked.shop.dryers.findIndex((d) => d.id === on.dryer?.id)
  const pallets = palletsFor(asked.shop, run, pressId)
  return {
    people: on.people + (helped === undefined ? 0 : 1),
    ...(pallets !== undefined && { pallets }),
    ...(on.dryer &&
      dryerAt >= 0 && {
        dryer: { at: dryerAt, share: on.dryer.share, celsius: Math.round(on.dryer.film) },
      }),
    setUp: begun ? 0 : Math.ceil((on.setUp * STAYS) / 60),
    run: Math.max(1, Math.ceil(((helped ?? on.print) * (begun?.left ?? thereOf(asked, run))) / 60)),
  }
}

/** As many people as the presses want at once: nobody waits for anybody where no one said how many there are. */
export const peopleOf = (runs: readonly DayFacts[]): number => {
  const most = new Map<string, number>()
  for (const on of runs.flatMap((r) => r.on))
    most.set(on.pressId, Math.max(on.people, most.get(on.pressId) ?? 0))
  return Math.max(
    1,
    [...most.values()].reduce((sum, n) => sum + n, 0),
  )
}

/** Minutes of change-over beyond what stays: screens that do not hang yet, ink that has to come out. */
export function changeOverOf({ runs, shop, screens }: ShopDays): DaysProblem['changeOver'] {
  return (press, from, to) => {
    const next = runs[to]
    const pressId = shop.presses[press]?.id
    const on = next?.on.find((o) => o.pressId === pressId)
    if (!next || !on) return 0
    const full = (on.setUp * (1 - STAYS)) / 60
    if (from === undefined) {
      const own = screens[screensKey(next)] ?? []
      const hang = own.filter((s) => s.hangsAt === pressId).length
      return Math.ceil(own.length > 0 ? full * (1 - hang / own.length) : full)
    }
    const last = runs[from]
    if (!last || screensKey(last) === screensKey(next)) return 0
    const ink =
      last.inks.join() === next.inks.join()
        ? 0
        : next.lightest - last.darkest > LIGHTER
          ? DARK_TO_LIGHT
          : OTHER_INK
    const stays = ink > 0 && last.isBased && next.isBased ? BASE_STAYS : 0
    return Math.ceil(full + ink - stays)
  }
}
