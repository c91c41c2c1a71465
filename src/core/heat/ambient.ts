import { type NumberAdvice, type Overrides, q } from '../advice'
import type { AirOfDay } from '../equipment'
import { celsius, type Share } from '../quantity'
import { HEAT } from './definition'

/** Air of the shop while the run prints. */
export interface ShopAir {
  readonly air: NumberAdvice
  readonly humidity: NumberAdvice
}

const USUAL = { air: celsius(22), humidity: 0.5 as Share }

/** The air that heat is computed with: as it was said today, else a usual one; for a run the lead may say another. */
export function shopAir(said: AirOfDay | undefined, overrides: Overrides): ShopAir {
  const asSaid = said && [
    HEAT.because('AIR_SAID', {
      day: said.on,
      air: q('temperature', said.temperature),
      humidity: q('share', said.humidity),
    }),
  ]
  const about = (usual: readonly [number, number], advised: number): readonly [number, number] => [
    Math.min(usual[0], advised),
    Math.max(usual[1], advised),
  ]
  const [air, humidity] = [said?.temperature ?? USUAL.air, said?.humidity ?? USUAL.humidity]
  return {
    air: HEAT.number(
      'air',
      {
        advised: air,
        range: about([celsius(15), celsius(30)], air),
        reasons: asSaid ?? [HEAT.because('AIR_USUAL')],
      },
      overrides,
    ),
    humidity: HEAT.number(
      'humidity',
      {
        advised: humidity,
        range: about([0.3, 0.7], humidity),
        reasons: [...(asSaid ?? []), HEAT.because('AIR_DAMP')],
      },
      overrides,
    ),
  }
}
