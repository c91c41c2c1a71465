import * as yup from 'yup'
import { each, oneOfOrNone, rowsOf, WHERES, type Where } from '../../order'
import {
  DRYER_HEATS,
  FLASH_KINDS,
  FLASH_MOUNTS,
  FLASH_SIDES,
  FLASH_SUITS,
  PALLET_MATERIALS,
  PRESS_KINDS,
  PRESSURE_SCALES,
} from '../equipment'
import { flashCalibration, tunnelCalibration } from './calibration'
import { id, name, oneOf, onScale, positive, whole } from './fields'

const station = yup.object({
  number: whole('Station number', 40),
  usable: yup.boolean().required('Missing.'),
  flashAllowed: yup.boolean().required('Missing.'),
})

const pressureNote = yup
  .object({
    scale: oneOf(PRESSURE_SCALES),
    light: onScale,
    medium: onScale.test(
      'more',
      'More than for light.',
      (medium, at) => !(Number(medium) <= at.parent.light),
    ),
    firm: onScale.test('more', 'More than for medium.', (firm, at) => !(Number(firm) <= at.parent.medium)),
  })
  .default(undefined)
  .optional()

const press = yup.object({
  id,
  name,
  pressure: pressureNote,
  kind: oneOf(PRESS_KINDS),
  palletWidth: positive('Pallet width', 3),
  palletHeight: positive('Pallet height', 3),
  palletMaterial: oneOf(PALLET_MATERIALS),
  frameWidth: positive('Frames up to', 3).optional(),
  frameHeight: positive('Frames up to', 3).optional(),
  heads: whole('Heads', 40).when('kind', {
    is: (kind: string) => kind !== 'manual' && kind !== 'single',
    then: (s) => s.optional().strip(),
  }),
  down: yup
    .array(whole('Head', 40))
    .default([])
    .test('heads', 'No such head.', (down, { parent }) => (down ?? []).every((n) => n <= parent.heads))
    .when('kind', {
      is: (kind: string) => kind !== 'manual' && kind !== 'single',
      then: () => yup.mixed().optional().strip(),
    }),
  pallets: whole('Pallets', 40).when('kind', {
    is: (kind: string) => kind !== 'manual',
    then: (s) => s.optional().strip(),
  }),
  stations: yup
    .array(station)
    .min(1, 'An automatic has stations.')
    .required('An automatic has stations.')
    .when('kind', { is: (kind: string) => kind !== 'automatic', then: () => yup.mixed().optional().strip() }),
})

/** Presses and what stands at them, as a job file carries them. */
export const pressFields = {
  presses: yup
    .array(press)
    .min(1, 'A shop has at least one press.')
    .required('A shop has at least one press.'),
  flashes: yup
    .array(
      yup.object({
        id,
        name,
        kind: oneOf(FLASH_KINDS),
        pressId: yup.string().required('At which press?'),
        takes: whole('Stations it takes', 6).default(1),
        station: whole('Station', 40).optional(),
        mount: oneOf(FLASH_MOUNTS).optional(),
        side: oneOfOrNone(FLASH_SIDES),
        suits: oneOfOrNone(FLASH_SUITS),
        calibration: flashCalibration,
      }),
    )
    .default([]),
  dryers: yup
    .array(
      yup.object({
        id,
        name,
        heatedLength: positive('Heated length', 30),
        beltWidth: positive('Belt width', 5),
        heat: oneOf(DRYER_HEATS).optional(),
        calibration: tunnelCalibration,
      }),
    )
    .default([]),
  sharedPallets: yup
    .array(
      yup.object({
        id,
        name,
        where: oneOf(WHERES) as yup.StringSchema<Where>,
        sets: whole('Sets', 40),
        presses: yup.array(id).max(40, 'At most 40 presses.').default([]),
      }),
    )
    .max(40, 'At most 40 kinds of shared pallets.')
    .test(
      'ids',
      'Two kinds of shared pallets have the same id.',
      each((s: { id: string }) => s.id),
    )
    .test(
      'once',
      'Two are for the same print on the same press.',
      (list) => !(list ?? []).some((a, i) => list?.slice(0, i).some((b) => areForSame(a, b))),
    )
    .optional()
    .default(undefined),
}

/** Whatever stands in the list: what it is not is told of each by itself. */
type Fits = { readonly where?: unknown; readonly presses?: unknown } | null | undefined
const areForSame = (a: Fits, b: Fits): boolean => {
  const [p, q] = [a?.presses, b?.presses]
  if (!a || a.where !== b?.where || !Array.isArray(p) || !Array.isArray(q)) return false
  return p.length === 0 || q.length === 0 || p.some((id) => q.includes(id))
}

/** As the shop's own forms hold them: a new shop may have none yet, and what stands at a press finds it. */
export const pressPart = yup
  .object({
    ...pressFields,
    presses: yup
      .array(press)
      .defined()
      .test(
        'once',
        'Two presses have the same id.',
        each((p: { id: string }) => p.id),
      ),
  })
  .test('stands', 'A flash unit stands at a press that is gone.', ({ flashes, presses }) =>
    rowsOf(flashes).every((f) => rowsOf(presses).some((p) => p.id === f.pressId)),
  )
