'use client'

import { Box, Grid } from '@chakra-ui/react'
import { optionWords, SCHOOLS } from '@/core/advice'
import { Label } from '@/ui/elements'
import { Section } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../orderContext'
import { STAGES, type StageName } from '../stages'

/** The schools that belong to a stage: the shop's, or another for this job. */
export function Schools({ stage }: { readonly stage: StageName }) {
  const { decisions, shelf, setSchool } = useOrder()
  const { units } = useSettings()
  const { schools } = STAGES[stage]
  if (schools.length === 0) return null
  return (
    <Section title="How this job is done">
      <Grid templateColumns="minmax(9rem, 15rem) 1fr" columnGap="4" rowGap="1.5" alignItems="center">
        {schools.map((school) => {
          const { question, options } = SCHOOLS[school]
          const usual = shelf.shop.method[school]
          const value = decisions?.method[school] ?? usual
          return (
            <Box key={school} display="contents">
              <Label htmlFor={`school-${school}`} color="soft">
                {question}
              </Label>
              <Select
                id={`school-${school}`}
                value={value}
                onChange={(e) => setSchool(school, e.target.value)}
                own={value !== usual}
                minWidth="0"
                width="100%"
                textOverflow="ellipsis"
              >
                {Object.keys(options).map((option) => (
                  <option key={option} value={option}>
                    {optionWords(school, option, units)}
                    {option === usual ? ' (shop)' : ''}
                  </option>
                ))}
              </Select>
            </Box>
          )
        })}
      </Grid>
    </Section>
  )
}
