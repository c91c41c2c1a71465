import type { Duration } from '../quantity'

/** What the can of an ink and its data sheet say beyond its colour; what is not said is as usual. */
export interface Can {
  /** It stretches with the cloth. */
  readonly stretches?: boolean | undefined
  readonly flashesFast?: boolean | undefined
  /** A hot gun spoils it. */
  readonly noGun?: boolean | undefined
  readonly pvcFree?: boolean | undefined
  /** In the air before any heat, s; 0 may be pressed at once. */
  readonly airDry?: Duration | undefined
  readonly maker?: string | undefined
  /** What is stirred in, and who makes that. */
  readonly additive?: string | undefined
  readonly additiveMaker?: string | undefined
}

/** What is said by yes or no. */
export const CAN_SAYS = {
  stretches: 'Stretches',
  flashesFast: 'Flashes fast',
  noGun: 'No hot gun',
  pvcFree: 'Free of PVC',
} as const satisfies Partial<Record<keyof Can, string>>
export type CanSays = keyof typeof CAN_SAYS

/** What is written. */
export const CAN_NAMES = {
  maker: 'Maker',
  additive: 'Additive',
  additiveMaker: 'Maker of the additive',
} as const satisfies Partial<Record<keyof Can, string>>
