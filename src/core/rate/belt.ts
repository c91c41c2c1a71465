import type { Length, Quantity } from '../quantity'

/** Belt left free between two garments (assumed). */
const GAP = 0.03

/** How garments lie on a belt. */
export interface OnBelt {
  /** Abreast. */
  readonly lanes: number
  /** Belt that one takes, metres. */
  readonly pitch: Length
  /** Neither way round lies flat on the belt: it has to be folded. */
  readonly folded: boolean
}

/** The way round in which a belt carries most garments (geometry). Metres; lanes 1 or more. */
export function onBelt(
  belt: Length,
  { width, length }: { readonly width: Length; readonly length: Length },
): OnBelt {
  const ways = [
    { across: width, along: length },
    { across: length, along: width },
  ].map(({ across, along }) => ({ lanes: Math.floor(belt / across + 1e-9), pitch: along + GAP }))
  const best = ways.reduce((a, b) => (b.lanes / b.pitch > a.lanes / a.pitch ? b : a))
  return best.lanes > 0
    ? { ...best, folded: false }
    : { lanes: 1, pitch: Math.max(width, length) + GAP, folded: true }
}

/** Pieces a second that a belt carries: speed / pitch x lanes (geometry). */
export const beltRate = (speed: Quantity<'beltSpeed'>, { lanes, pitch }: OnBelt): Quantity<'rate'> =>
  (speed / pitch) * lanes
