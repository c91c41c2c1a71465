import { Box, Flex } from '@chakra-ui/react'
import { message } from '@/core/advice'
import { writeQuantity } from '@/core/quantity'
import type { LookHere } from '@/core/registration'
import { Section } from '@/ui/Section'
import { useSettings } from '@/ui/settings'

/** Where on the print a miss of this screen shows first; numbered as in the drawing of the marks. @param places as the operator sees them */
export function WhereToLook({ places }: { readonly places: readonly LookHere[] }) {
  const { units } = useSettings()
  const far = (x: number) => writeQuantity('length', Math.abs(Math.round(x * 1000) / 1000), units)
  return (
    <Section title="Where to look on the print">
      {places.length === 0 && (
        <Box color="soft">No film that was read says that this colour meets another closely.</Box>
      )}
      <Box as="ol" listStyleType="none">
        {places.map(({ x, y, reason }, i) => (
          <Flex as="li" key={`${x} ${y}`} gap="3" py="1.5" borderTop="1px solid" borderColor="rule">
            <Box width="1.4rem" flex="none" fontWeight="750">
              {i + 1}
            </Box>
            <Box>
              <b>
                {far(x)} {x < 0 ? 'left' : 'right'}, {far(y)} {y < 0 ? 'towards you' : 'away from you'}
              </b>{' '}
              of the middle of the art
              <Box color="soft" fontSize="small">
                {message(reason, units)}
              </Box>
            </Box>
          </Flex>
        ))}
      </Box>
    </Section>
  )
}
