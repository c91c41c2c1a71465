import * as yup from 'yup'
import { checkWith } from '../../order'
import type { Shop } from '../equipment'
import type { ShopAndShelf, ShopPart, ShopParts } from '../parts'
import { approvedFields } from './approved'
import { frameFields, framePart } from './frames'
import { pressFields, pressPart } from './presses'
import { rackFields } from './rack'
import { screenFields } from './screens'
import { settingFields, settingPart, shelfFields } from './settings'

export { airOfDay, flashCalibration, flashReading, tunnelCalibration, tunnelReading } from './calibration'
export { methodSchema } from './settings'

/** A shop as the job file carries it. Quantities in SI; practices left out take the default. */
export const shopSchema = yup.object({
  ...settingFields,
  ...pressFields,
  ...frameFields,
  ...screenFields,
  ...rackFields,
  ...approvedFields,
})

/** The type of a checked shop but for the practices, which the reader fills up with defaults. */
export type CheckedShop = Omit<Shop, 'method'> & { readonly method: Partial<Shop['method']> }

/** Every part as its own form and the archive check it: everything there, references lead somewhere. */
const PARTS = {
  settings: yup.object({ shop: settingPart, ...shelfFields }),
  presses: yup.object({ shop: pressPart }),
  frames: yup.object({ shop: framePart }),
  screens: yup.object({ shop: yup.object(screenFields) }),
  rack: yup.object({ shop: yup.object(rackFields) }),
  approved: yup.object({ shop: yup.object(approvedFields) }),
}

/** A whole shop, as the forms hold it. */
export const shelfSchema = yup.object({
  shop: pressPart.shape({
    ...settingPart.fields,
    ...framePart.fields,
    ...screenFields,
    ...rackFields,
    ...approvedFields,
  }),
  ...shelfFields,
})

/** Checks a whole shop; every mistake at its place (`shop.presses[0].name`). */
export const checkShelf = (value: unknown) => checkWith<ShopAndShelf>(shelfSchema, value)

/** Checks a part of a shop; every mistake at its place in the whole (`shop.presses[0].name`). */
export const checkPart = <P extends ShopPart>(part: P, value: unknown) =>
  checkWith<ShopParts[P]>(PARTS[part], value)
