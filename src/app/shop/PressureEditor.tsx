import { Grid } from '@chakra-ui/react'
import { PRESSURE_SCALES, type Press, type PressureNote } from '@/core/equipment'
import { GAUGES } from '@/core/stroke'
import { QuantityField } from '@/ui/fields'
import { Choice } from './Choice'

/** How the press counts pressure, and what the words for it come to there. */
export function PressureEditor({
  at,
  of,
  press,
  onChange,
}: {
  readonly at: number
  readonly of: string | undefined
  readonly press: Press
  readonly onChange: (press: Press) => void
}) {
  const { pressure: note, ...rest } = press
  const choose = (scale: string) =>
    onChange(
      scale === ''
        ? rest
        : { ...press, pressure: { scale: scale as PressureNote['scale'], ...FIRST_NOTE[scale as 'turns'] } },
    )
  return (
    <Grid
      templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: '12rem 6rem 6rem 6rem' }}
      gap="3"
      mt="3"
      alignItems="end"
    >
      <Choice
        id={`scale-${at}`}
        label="Pressure is counted in"
        of={of}
        value={note?.scale ?? ''}
        options={{ '': 'words', ...PRESSURE_SCALES }}
        onChoose={choose}
      />
      {note &&
        (['light', 'medium', 'firm'] as const).map((word) => (
          <QuantityField
            key={`${note.scale} ${word}`}
            name={`shop.presses.${at}.pressure.${word}`}
            label={`${word[0]?.toUpperCase()}${word.slice(1)} is`}
            kind={GAUGES[note.scale]}
            of={of}
          />
        ))}
    </Grid>
  )
}

/** Somewhere to start from: the shop writes its own. */
const FIRST_NOTE = {
  turns: { light: 2, medium: 3, firm: 4 },
  air: { light: 2e5, medium: 3e5, firm: 4e5 },
} as const
