import { Box, Flex } from '@chakra-ui/react'
import { QuantityInput } from '@/ui/given'
import { TextButton } from '@/ui/Section'
import { MARKS, type MarkName, type ReadIn, type Typed } from './marks'

/** What is read at each mark, line by line. */
export function MarkFields({
  marks,
  unit,
  typed,
  round,
  onType,
  onAgree,
}: {
  readonly marks: readonly MarkName[]
  readonly unit: ReadIn
  readonly typed: Typed
  /** Begins anew with another round. */
  readonly round: string
  readonly onType: (mark: MarkName, axis: 'dx' | 'dy', value: number | undefined) => void
  readonly onAgree: (mark: MarkName) => void
}) {
  return marks.map((mark) => (
    <Flex
      key={`${round} ${unit} ${mark}`}
      role="group"
      aria-label={`Mark ${MARKS[mark]}`}
      gap="3"
      align="end"
      py="1"
      borderTop="1px solid"
      borderColor="rule"
    >
      <Box width="4.2rem" flex="none" fontWeight="650" pb="1.5">
        {MARKS[mark]}
      </Box>
      {(['dx', 'dy'] as const).map((axis) => (
        <Box key={axis} flex="0 1 7.5rem" minWidth="0">
          <QuantityInput
            label={axis === 'dx' ? 'Right +' : 'Away +'}
            of={`mark ${MARKS[mark]}`}
            kind={unit}
            value={typed[mark]?.[axis]}
            onGive={(x) => onType(mark, axis, x)}
            onEmpty={() => onType(mark, axis, undefined)}
          />
        </Box>
      ))}
      <TextButton flex="none" onClick={() => onAgree(mark)} aria-label={`${MARKS[mark]} agrees`}>
        agrees
      </TextButton>
    </Flex>
  ))
}
