import * as yup from 'yup'
import { BANDS, LIGHTS } from '../../color'
import { each, hexSchema, INK_SYSTEMS, OPACITIES, trimmed } from '../../order'
import { keysOf } from '../../quantity'
import { ADDITIVES } from '../inkRoom'
import { USUAL_INK_ROOM } from '../rack'
import { id, name, oneOf, positive } from './fields'

const limit = (what: string) => positive(what, 30)
const limits = yup.object({
  match: limit('Match'),
  visible: limit('Visible').test(
    'above',
    'Not below the limit of a match.',
    (most, at) => !(Number(most) < at.parent.match),
  ),
  accept: limit('Accepted'),
  again: limit('Looked at again').test(
    'above',
    'Not below what is accepted.',
    (most, at) => !(Number(most) < at.parent.accept),
  ),
  white: positive('L* of white', 100),
})

const readings = yup
  .array(
    yup
      .number()
      .typeError('A curve holds numbers only.')
      .min(0, 'A reflectance is not below 0.')
      .max(2, 'A reflectance is a share, 1 for all light.')
      .required(),
  )
  .length(BANDS.length, `A curve has ${BANDS.length} values, 400 to 700 nm by 20.`)
const lab = yup.object({
  l: yup.number().min(0).max(100, 'L* is from 0 to 100.').required('L* is missing.'),
  a: yup.number().min(-200).max(200).required('a* is missing.'),
  b: yup.number().min(-200).max(200).required('b* is missing.'),
})
const letDown = yup
  .object({
    share: positive('Share of the tint', 1),
    lightness: positive('L* of the tint', 100),
  })
  .default(undefined)
  .optional()
const KNOWN = {
  curves: yup.object({
    how: oneOf({ curves: 1 }),
    deposit: positive('Thickness of the smear', 0.001),
    onWhite: readings.required('The curve over white is missing.'),
    onBlack: readings.required('The curve over black is missing.'),
    letDown,
  }),
  labs: yup.object({
    how: oneOf({ labs: 1 }),
    deposit: positive('Thickness of the smear', 0.001),
    light: oneOf(LIGHTS),
    onWhite: lab,
    onBlack: lab,
    letDown,
  }),
  class: yup.object({ how: oneOf({ class: 1 }), hex: hexSchema, opacity: oneOf(OPACITIES) }),
  additive: yup.object({ how: oneOf({ additive: 1 }), does: oneOf(ADDITIVES) }),
}

const KNOWN_WAYS = keysOf(KNOWN)

/** An ink of the rack, on a form or in a file. */
export const baseInkSchema = yup.object({
  code: trimmed.max(24, 'At most 24 characters.').required('A code is missing.'),
  name,
  system: oneOf(INK_SYSTEMS),
  cost: yup
    .number()
    .typeError('A price, please.')
    .min(0, 'Not below 0.')
    .max(10_000)
    .required('A price is missing.'),
  density: yup
    .number()
    .typeError('g/ml, for example 1.2.')
    .min(500, 'Lighter than any ink: 0.5 g/ml at least.')
    .max(5000, 'Heavier than any ink: 5 g/ml at most.')
    .required('The density is missing.'),
  characterisation: yup.lazy(
    (value: { how?: unknown } | null | undefined) =>
      KNOWN[KNOWN_WAYS.find((how) => how === value?.how) ?? 'class'],
  ),
})

const part = yup.object({ code: yup.string().required('Which ink?'), share: positive('Share', 1) })
const formula = yup.object({
  id,
  name,
  system: oneOf(INK_SYSTEMS),
  target: lab,
  parts: yup
    .array(part)
    .min(1, 'A formula has at least one part.')
    .required('A formula has parts.')
    .test(
      'once',
      'An ink stands in it twice.',
      each((p: { code: string }) => p.code),
    )
    .test(
      'whole',
      'The parts do not make 100 %.',
      (parts) => Math.abs((parts ?? []).reduce((sum, p) => sum + p.share, 0) - 1) < 0.005,
    ),
})
const inkRoom = yup.object({
  limits,
  laid: positive('Ink laid against ink computed', 3).default(1),
  rack: yup
    .array(baseInkSchema)
    .default([])
    .test(
      'once',
      'Two inks of the rack have the same code.',
      each((i: { code: string }) => i.code),
    ),
  formulas: yup.array(formula).default([]),
})

export const rackFields = {
  inkRoom: inkRoom.default(USUAL_INK_ROOM as unknown as yup.InferType<typeof inkRoom>),
}
