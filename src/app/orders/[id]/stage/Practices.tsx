'use client'

import { Box, Grid } from '@chakra-ui/react'
import { optionWords, PRACTICES } from '@/core/advice'
import { Label } from '@/ui/elements'
import { Section } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../orderContext'
import { STAGES, type StageName } from '../stages'

/** The practices that belong to a stage: the shop's, or another for this job. */
export function Practices({ stage }: { readonly stage: StageName }) {
  const { decisions, shelf, setPractice } = useOrder()
  const { units } = useSettings()
  const { practices } = STAGES[stage]
  if (practices.length === 0) return null
  return (
    <Section title="How this job is done">
      <Grid
        templateColumns={{ base: 'minmax(0, 1fr)', md: 'minmax(9rem, 15rem) minmax(0, 1fr)' }}
        columnGap="4"
        rowGap="1.5"
        alignItems="center"
      >
        {practices.map((practice) => {
          const { question, options } = PRACTICES[practice]
          const usual = shelf.shop.method[practice]
          const value = decisions?.method[practice] ?? usual
          return (
            <Box key={practice} display="contents">
              <Label htmlFor={`practice-${practice}`} color="soft">
                {question}
              </Label>
              <Select
                id={`practice-${practice}`}
                value={value}
                onChange={(e) => setPractice(practice, e.target.value)}
                own={value !== usual}
                minWidth="0"
                width="100%"
                textOverflow="ellipsis"
              >
                {Object.keys(options).map((option) => (
                  <option key={option} value={option}>
                    {optionWords(practice, option, units)}
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
