import { Box, Grid } from '@chakra-ui/react'
import { useId } from 'react'
import { Label } from '@/ui/elements'
import { SelectField } from '@/ui/fields'
import { Section } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { useSettings } from '@/ui/settings'

/** Each question, the words of its answers, and which of them the shop says by saying nothing. */
const QUESTIONS = {
  measure: { ask: 'Units', usual: 'metric', words: { metric: 'mm, °C, g', inch: 'in, °F, oz' } },
  inches: {
    ask: 'Inches',
    usual: 'fractions',
    words: { fractions: 'as on a rule: 1/8 in', decimals: 'decimals: 0.125 in' },
  },
  days: {
    ask: 'Days',
    usual: 'dayFirst',
    words: { dayFirst: '1 Dec 2026', monthFirst: 'Dec 1, 2026', yearFirst: '2026-12-01' },
  },
  week: { ask: 'A week begins on', usual: 'monday', words: { monday: 'Monday', sunday: 'Sunday' } },
} as const

const OF_SHOP = { measure: 'units', inches: 'inches', days: 'dayOrder', week: 'weekFrom' } as const

type Question = keyof typeof QUESTIONS

/** How numbers and days are written: by the shop, and by this device where it differs. */
export function Writing() {
  return (
    <Section title="How it is written">
      <Grid
        templateColumns={{ base: 'repeat(2, minmax(0, 1fr))', lg: 'repeat(4, minmax(0, 1fr))' }}
        columnGap="6"
        rowGap="4"
        maxWidth="62rem"
      >
        {(Object.keys(QUESTIONS) as Question[]).map((q) => (
          <Box key={q} minWidth="0">
            <SelectField name={`shop.${OF_SHOP[q]}`} label={QUESTIONS[q].ask} options={ofShop(q)} />
            <OfDevice question={q} />
          </Box>
        ))}
      </Grid>
    </Section>
  )
}

/** What goes without saying is said by an empty value. */
const ofShop = (q: Question): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(QUESTIONS[q].words).map(([is, words]) => [is === QUESTIONS[q].usual ? '' : is, words]),
  )

function OfDevice({ question }: { readonly question: Question }) {
  const id = useId()
  const { is, choose } = useSettings().ofDevice[question]
  const words = QUESTIONS[question].words as Readonly<Record<string, string>>
  return (
    <Box mt="1">
      <Label htmlFor={id} srOnly>
        {QUESTIONS[question].ask}, on this device
      </Label>
      <Select id={id} width="100%" value={is} onChange={(e) => choose(e.target.value as never)}>
        <option value="shop">this device: as the shop</option>
        {Object.entries(words).map(([value, says]) => (
          <option key={value} value={value}>
            this device: {says}
          </option>
        ))}
      </Select>
    </Box>
  )
}
