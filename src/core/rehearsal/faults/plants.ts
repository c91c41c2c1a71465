import type { Draws } from '../draw'
import type { TruePress, TrueScreen } from '../truePress'

/** Changes the true state of the press; the screen is the one the fault sits at. */
export type Plant = (press: TruePress, draws: Draws, screen: TrueScreen) => void
export type Plants = Readonly<Record<string, Plant>>
