import { Box, Flex } from '@chakra-ui/react'
import type { TimeSpent } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { useSettings } from '@/ui/settings'

/** Where the hours at the presses went, the longest first. */
export function TimeBars({ spent }: { readonly spent: readonly TimeSpent[] }) {
  const { units } = useSettings()
  const most = Math.max(1, ...spent.map((s) => s.seconds))
  const all = spent.reduce((sum, s) => sum + s.seconds, 0)
  return (
    <Box as="ul" listStyleType="none">
      {spent.map((s) => (
        <Flex as="li" key={s.name} gap="3" align="center" py="1">
          <Box width={{ base: '7.5rem', md: '13rem' }} flex="none">
            {s.name}
          </Box>
          <Box flex="1" minWidth="2rem">
            <Box bg="ink" height="0.9rem" style={{ width: `${(100 * s.seconds) / most}%` }} />
          </Box>
          <Box width={{ base: '7.5rem', md: '9rem' }} flex="none" className="num" textAlign="right">
            {writeQuantity('workTime', s.seconds, units)}, {Math.round((100 * s.seconds) / all)} %
          </Box>
        </Flex>
      ))}
    </Box>
  )
}
