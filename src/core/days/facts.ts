import type { Hex } from '../color'
import type { Press, Shop } from '../equipment'
import type { Where } from '../order'
import type { Duration, MeshCount, Share, Temperature } from '../quantity'
import type { Moment } from '../schedule'

/** What a run takes on one press, seconds: as it is planned, and from lowest to highest. */
export interface OnPress {
  readonly pressId: string
  readonly setUp: Duration
  readonly print: Duration
  readonly range: readonly [number, number]
  readonly people: number
  /** Seconds of printing where one more loads and unloads; none where that does not help, or is not known. */
  readonly helped?: Duration | undefined
  /** None where no tunnel cures it. */
  readonly dryer?: { readonly id: string; readonly share: Share; readonly film: Temperature }
}

/** What the days have to know of a run. */
export interface DayFacts {
  readonly runId: string
  readonly orderId: string
  readonly print: string
  /** Customer and job. */
  readonly words: string
  /** Where it is printed. */
  readonly where?: Where | undefined
  /** ISO day. */
  readonly due: string
  readonly pieces: number
  /** Pieces of them that were counted in short; none where all came, or nobody counted. */
  readonly short?: number | undefined
  readonly cloth: Hex
  readonly inks: readonly Hex[]
  /** Its presses, the planned one first. */
  readonly on: readonly OnPress[]
  /** The lead chose its press. */
  readonly isChosen: boolean
  /** Days between printed and due, where its customer wants others than the shop. */
  readonly leadDays?: number
  /** Days that pieces lie in the air between printing and cure. */
  readonly airDays: number
  /** ISO day on which its garments are expected; none where nobody said. */
  readonly garmentsOn?: string | undefined
  /** Longest batch of what dries in the screens, s; 0 where breaks do no harm. */
  readonly pot: Duration
  /** Its first colour under the squeegee prints white, and its lightest and darkest ink, L* 0 to 100. */
  readonly isBased: boolean
  readonly lightest: number
  readonly darkest: number
  /** The run that meets its garments before it. */
  readonly after?: string
}

/** A screen that a run wants, as far as it is. */
export interface DayScreen {
  readonly mesh: MeshCount
  /** Seconds of work and drying until it can hang; 0 where it hangs or could, none where no frame carries it yet. */
  readonly left: Duration | undefined
  /** The press it hangs at now. */
  readonly hangsAt?: Press['id']
}

/** A run on a press now. */
export interface Begun {
  readonly runId: string
  readonly pressId: string
  readonly since: Moment
  /** What is still to be printed of it, 0 to 1. */
  readonly left: Share
}

/** Where and when the lead wants a run. */
export interface Pin {
  readonly runId: string
  readonly pressId: string
  readonly at: Moment
}

/** A press that does not work for a while. */
export interface Down {
  readonly pressId: string
  readonly from: Moment
  readonly to: Moment
}

/** What came otherwise than it was planned; a person and an order by their ids, days as ISO and both included. */
export interface Otherwise {
  readonly away: readonly { readonly personId: string; readonly first: string; readonly last: string }[]
  /** Garments that are not here yet, and the day on which they are now expected. */
  readonly garments: readonly { readonly orderId: string; readonly on: string }[]
  /** Seconds that a run prints longer than it was planned for. */
  readonly longer: readonly { readonly runId: string; readonly by: number }[]
}

export const NOTHING_OTHERWISE: Otherwise = { away: [], garments: [], longer: [] }

/** Everything that the days are planned from: runs, the shop, what is said of both, and the shop's clock. */
export interface ShopDays {
  readonly now: Moment
  readonly shop: Pick<
    Shop,
    | 'hours'
    | 'presses'
    | 'dryers'
    | 'sharedPallets'
    | 'frames'
    | 'screens'
    | 'leadDays'
    | 'goesOut'
    | 'people'
  >
  readonly runs: readonly DayFacts[]
  /** By order and print, `O-1001.P1`. */
  readonly screens: Readonly<Record<string, readonly DayScreen[]>>
  readonly begun: readonly Begun[]
  /** Names of the inks that are still to be mixed, by run. */
  readonly inkShort?: Readonly<Record<string, readonly string[]>> | undefined
  /** Orders whose garments are counted in. */
  readonly garmentsIn: readonly string[]
  readonly pins: readonly Pin[]
  readonly down: readonly Down[]
  /** What came otherwise than it was planned. */
  readonly otherwise?: Otherwise | undefined
  /** Runs that may be printed on one press only. */
  readonly only?: Readonly<Record<string, string>> | undefined
  /** Runs that get one more person to load and unload. */
  readonly helped?: readonly string[] | undefined
  /** Days of overtime that there may be and no others, by press; any where nothing is said. */
  readonly overtime?: Readonly<Record<string, readonly string[]>> | undefined
  /** An order that counts for more than all others: what it costs to have it in time is asked. */
  readonly urgent?: string | undefined
}
