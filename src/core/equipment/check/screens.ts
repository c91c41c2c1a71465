import * as yup from 'yup'
import { each, oneOfOrNone } from '../../order'
import { isDay } from '../../quantity'
import { EMULSION_KINDS, LAMP_KINDS, MEDIA, USUAL_SCREENS, WATER } from '../screenRoom'
import { coats, day, id, name, oneOf, positive, whole } from './fields'

const fabric = yup.object({
  count: positive('Mesh', 30_000),
  thread: positive('Thread', 0.001).test(
    'gaps',
    'Thicker than the mesh is apart: nothing stays open.',
    (thread, at) => thread === undefined || !(thread * at.parent.count >= 1),
  ),
  thickness: positive('Thickness', 0.002),
  dyed: oneOf({ white: 1, yellow: 1 }),
})
const seconds = (what: string) => positive(what, 7200)

/** Mesh table, emulsions, lamps, step tests, and what the room is like. */
const screenRoom = yup.object({
  humidity: yup
    .number()
    .typeError('Humidity: a share, for example 45 %.')
    .min(0, 'Humidity is from 0 to 100 %.')
    .max(1, 'Humidity is from 0 to 100 %.')
    .required('Humidity is missing.'),
  racks: whole('Places to dry', 500).optional().default(undefined),
  frameToPallet: yup
    .number()
    .typeError('A length, please.')
    .min(0, 'Not below 0.')
    .max(1, 'Too far.')
    .required('Missing.'),
  collarLine: yup
    .number()
    .typeError('A length, please.')
    .min(0, 'Not below 0.')
    .max(1, 'Too far.')
    .required('Missing.'),
  leastTension: positive('Tension', 10_000).default(USUAL_SCREENS.leastTension),
  mostTension: positive('Tension', 10_000)
    .default(USUAL_SCREENS.mostTension)
    .test('over', 'The most is more than the least.', function (most) {
      return (most ?? 0) > (this.parent as { leastTension: number }).leastTension
    }),
  medium: oneOfOrNone(MEDIA),
  fabrics: yup
    .array(fabric)
    .min(1, 'At least one mesh.')
    .required('At least one mesh.')
    .test(
      'once',
      'Two lines have the same mesh.',
      each((f: { count: number }) => Math.round(f.count)),
    ),
  emulsions: yup
    .array(
      yup.object({
        id,
        name,
        kind: oneOf(EMULSION_KINDS),
        water: oneOf(WATER),
        build: positive('Build', 0.001),
        mixedOn: yup
          .string()
          .transform((x: unknown) => (x === '' ? undefined : x))
          .test('day', 'A day that there is: 2026-12-01.', (x) => x === undefined || isDay(x))
          .optional(),
        keeps: whole('Days that it keeps', 730).optional(),
      }),
    )
    .default([]),
  lamps: yup
    .array(yup.object({ id, name, kind: oneOf(LAMP_KINDS), distance: positive('Distance', 20) }))
    .default([]),
  tests: yup
    .array(
      yup.object({
        id,
        on: day,
        lampId: yup.string().required('Which lamp?'),
        emulsionId: yup.string().required('Which emulsion?'),
        mesh: positive('Mesh', 30_000),
        coats,
        distance: positive('Distance', 20),
        medium: oneOfOrNone(MEDIA),
        time: seconds('Time'),
        low: seconds('Lowest time'),
        high: seconds('Highest time'),
      }),
    )
    .default([]),
})

export const screenFields = {
  screens: screenRoom.default(USUAL_SCREENS as yup.InferType<typeof screenRoom>),
}
