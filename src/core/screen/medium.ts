import type { ChoiceAdvice, Overrides } from '../advice'
import { MEDIA, type Medium, type ScreenRoom } from '../equipment'
import { keysOf } from '../quantity'
import { SCREEN } from './definition'

/** What the films of a job are printed on: what the shop has, unless the lead says otherwise. */
export const mediumFor = ({ medium = 'film' }: ScreenRoom, overrides: Overrides) =>
  SCREEN.choice(
    'medium',
    {
      advised: medium,
      choices: keysOf(MEDIA).map((value) => ({ value, label: MEDIA[value] })),
      reasons: [SCREEN.because('MEDIUM')],
    },
    overrides,
  ) as ChoiceAdvice<Medium>
