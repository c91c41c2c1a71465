import { Box, Flex } from '@chakra-ui/react'
import { message, type Reason } from '@/core/advice'
import { SeverityMark } from './Severity'
import { useSettings } from './settings'

/** Statements line by line, each with its severity. */
export function Told({ reasons }: { readonly reasons: readonly Reason[] }) {
  const { units } = useSettings()
  return reasons.map((r) => (
    <Flex key={message(r, 'metric')} gap="3" py="1.5" borderBottom="1px solid" borderColor="rule">
      <Box width="5rem" flex="none">
        {r.severity && <SeverityMark severity={r.severity} />}
      </Box>
      <Box>{message(r, units)}</Box>
    </Flex>
  ))
}
