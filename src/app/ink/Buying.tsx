import { Box, Flex } from '@chakra-ui/react'
import type { ToBuy } from '@/core/ink'
import type { Moment } from '@/core/schedule'
import { Measure } from '@/ui/Measure'
import { Section } from '@/ui/Section'
import { clockWords } from '../days/said'

/** What the cans have not for all mixes and runs together, and by when the first of it must be there. */
export function Buying({ buy, now }: { readonly buy: readonly ToBuy[]; readonly now: Moment }) {
  if (buy.length === 0) return null
  return (
    <Section title={`To buy: ${buy.length}`}>
      {buy.map(({ code, name, short, by, into }) => (
        <Flex
          key={code}
          align="baseline"
          columnGap="4"
          rowGap="0"
          py="1"
          borderTop="1px solid"
          borderColor="rule"
          wrap="wrap"
          data-buy={code}
        >
          <Box fontSize="title" fontWeight="650" width="6rem" textAlign="right">
            <Measure kind="mass" value={short} />
          </Box>
          <Box width="14rem">
            <b>{name}</b> {code}
          </Box>
          <Box width="9rem">{by === undefined ? 'no day yet' : `by ${clockWords(by, now)}`}</Box>
          <Box flex="1" minWidth="10rem" color="soft">
            for {into.join(', ')}
          </Box>
        </Flex>
      ))}
      <Box color="soft" fontSize="small" mt="2">
        All runs and mixes of the days together: what is kept for one is not there for another.
      </Box>
    </Section>
  )
}
