import { Box, Flex } from '@chakra-ui/react'
import { message } from '@/core/advice'
import { CAUSES, type Told } from '@/core/trouble'
import { useSettings } from '../settings'

/** What it may be: at most three lines, what is mended alike on one. The bars compare; how sure it is stands in words. */
export function Causes({ lines }: { readonly lines: readonly Told[] }) {
  const { units } = useSettings()
  const most = lines[0]?.share ?? 1
  return (
    <Box as="ol" listStyleType="none" aria-label="What it may be" mt="3">
      {lines.map((line, i) => (
        <Box as="li" key={line.remedy} py="2" borderTop="1px solid" borderColor="rule">
          <Flex gap="3" align="baseline">
            <Box fontSize={i === 0 ? 'lead' : undefined} fontWeight={i === 0 ? '750' : '600'} flex="1">
              {line.causes.map((c) => CAUSES[c].label).join('; or ')}
            </Box>
            <Box color={i === 0 ? 'ink' : 'soft'} whiteSpace="nowrap">
              {line.sure}
            </Box>
          </Flex>
          <Box height="8px" bg="rule" my="1" aria-hidden="true">
            <Box height="8px" bg="ink" width={`${Math.max(2, (100 * line.share) / Math.max(most, 0.5))}%`} />
          </Box>
          <Box color="soft">
            {line.why
              .slice(0, i === 0 ? 4 : 1)
              .map((r) => message(r, units))
              .join(' ')}
          </Box>
        </Box>
      ))}
    </Box>
  )
}
