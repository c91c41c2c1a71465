import { Box, Flex } from '@chakra-ui/react'
import { message } from '@/core/advice'
import type { Registered } from '@/core/registration'
import { Section, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'

/** Which screen is registered when, and on what. */
export function InTurn({
  inTurn,
  nameOf,
  chosen,
  onChoose,
}: {
  readonly inTurn: readonly Registered[]
  readonly nameOf: (id: string) => string
  readonly chosen: string
  readonly onChoose: (id: string) => void
}) {
  const { units } = useSettings()
  if (inTurn.length < 2) return null
  return (
    <Section title="Which on which">
      <Box as="ol" listStyleType="none">
        {inTurn.map((r, i) => (
          <Flex as="li" key={r.id} gap="3" py="1.5" borderTop="1px solid" borderColor="rule" align="baseline">
            <Box width="1.4rem" flex="none" fontWeight="750">
              {i + 1}
            </Box>
            <Box flex="1" minWidth="0">
              <TextButton aria-pressed={r.id === chosen} onClick={() => onChoose(r.id)}>
                {nameOf(r.id)}
              </TextButton>{' '}
              {r.on === undefined ? 'on its film' : `on the printed ${nameOf(r.on)}`}
              <Box color="soft" fontSize="small">
                {message(r.reason, units)}
              </Box>
            </Box>
          </Flex>
        ))}
      </Box>
    </Section>
  )
}
