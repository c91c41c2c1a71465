import { reflectanceOf } from '@/core/color'
import { USUAL_SMEAR } from '@/core/equipment'

/** What an order that wants an ink says of it. */
export type Asked = Readonly<
  Partial<Record<'name' | 'hex' | 'system' | 'run' | 'hit' | 'mass' | 'cloth' | 'on', string>>
>

/** A cloth that a mix is looked at on. */
export interface OnCloth {
  readonly name: string
  readonly hex: string
}

/** A film as thick as a smear, straight on cloth of this colour. */
export const smearOn = (hex: string) => ({ ground: reflectanceOf(hex), film: USUAL_SMEAR })
