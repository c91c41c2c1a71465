import * as yup from 'yup'
import { wordsSchema } from '../../order'
import { STROKE_USES } from '../approved'
import { EDGES } from '../equipment'
import { day, id, oneOf, onScale, positive, whole } from './fields'

const approved = yup.object({
  id,
  on: day,
  words: wordsSchema('What it is', 200),
  pressId: yup.string().required('On which press?'),
  use: oneOf(STROKE_USES),
  mesh: positive('Mesh', 30_000),
  darkCloth: yup.boolean().required('Missing.'),
  driesInScreen: yup.boolean().required('Missing.'),
  fleece: yup.boolean().required('Missing.'),
  squeegee: yup.string().required('Missing.'),
  edge: oneOf(EDGES),
  angle: yup
    .number()
    .min(0, 'Not below 0.')
    .max(Math.PI / 2, 'At most 90°.')
    .required('Missing.'),
  pressure: oneOf({ light: 1, medium: 1, firm: 1 }),
  gauge: onScale.optional(),
  time: positive('Stroke time', 60),
  strokes: whole('Strokes', 20),
  flood: oneOf({ even: 1, hard: 1, slow: 1, full: 1 }),
  offContact: positive('Off-contact', 0.05),
})

export const approvedFields = { approved: yup.array(approved).default([]) }
