import * as yup from 'yup'
import { each, oneOfOrNone, rowsOf, wordsSchema } from '../../order'
import { FRAME_STATES, type MountedAt, STANDING } from '../equipment'
import { STEPS } from '../screenRoom'
import { coats, day, id, moment, oneOf, positive, whole } from './fields'

const stencil = yup
  .object({
    order: id,
    print: id,
    hit: id,
    words: wordsSchema('What it is', 200),
    emulsionId: wordsSchema('Emulsion', 60),
    coats,
    hardens: yup
      .boolean()
      .transform((x: unknown) => (x === true ? true : undefined))
      .optional(),
    done: yup.array(yup.object({ step: oneOf(STEPS), at: moment })).default([]),
  })
  .default(undefined)
  .optional()

const frame = yup.object({
  id,
  width: positive('Frame width', 3),
  height: positive('Frame height', 3),
  mesh: positive('Mesh', 30_000),
  tension: positive('Tension', 10_000),
  state: oneOf(FRAME_STATES),
  readings: yup.array(yup.object({ on: day, tension: positive('Tension', 10_000) })).default([]),
  standing: oneOfOrNone(STANDING),
  stencil,
  mounted: yup
    .object({ pressId: yup.string().required('On which press?'), head: whole('Head', 40) })
    .default(undefined)
    .optional(),
})

export const frameFields = { frames: yup.array(frame).default([]) }

/** Each frame once, and no two in one place. */
export const framePart = yup.object({
  frames: yup
    .array(frame)
    .defined()
    .test(
      'once',
      'Two frames have the same number.',
      each((f: { id: string }) => f.id),
    )
    .test('place', 'Two frames are mounted at the same head.', (rows) =>
      each((h: MountedAt) => `${h.pressId} ${h.head}`)(rowsOf(rows).flatMap((f) => f.mounted ?? [])),
    ),
})
