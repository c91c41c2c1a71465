import type { NumberAdvice, Overrides } from '../advice'
import { celsius, type Share } from '../quantity'
import { HEAT } from './definition'

/** Air of the shop while the run prints. */
export interface ShopAir {
  readonly air: NumberAdvice
  readonly humidity: NumberAdvice
}

const USUAL = { air: celsius(22), humidity: 0.5 as Share }

/** The air that heat is computed with, until the lead says how warm and damp it is. */
export const shopAir = (overrides: Overrides): ShopAir => ({
  air: HEAT.number(
    'air',
    { advised: USUAL.air, range: [celsius(15), celsius(30)], reasons: [HEAT.because('AIR_USUAL')] },
    overrides,
  ),
  humidity: HEAT.number(
    'humidity',
    { advised: USUAL.humidity, range: [0.3, 0.7], reasons: [HEAT.because('AIR_DAMP')] },
    overrides,
  ),
})
