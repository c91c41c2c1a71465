'use client'

import { Box, Flex } from '@chakra-ui/react'
import { inputText, numberOf, type Reason, settled, tell } from '@/core/advice'
import { whatChanges } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import type { Asked } from './desk'
import { Link } from './elements'
import { SeverityMark } from './Severity'
import { useSettings } from './settings'

/** `clothL` as `cloth L`. */
const spaced = (name: string) => name.replace(/[A-Z]/g, (c) => ` ${c}`)

/** One reason in words, with what kind of knowledge it is. */
export function ReasonLine({ reason }: { readonly reason: Reason }) {
  const { units } = useSettings()
  // Under which key the choice is kept is for the program.
  const { key: _, ...told } = reason.inputs
  const inputs = Object.entries(told)
    .map(([name, input]) => [name, inputText(input, units)] as const)
    .filter(([, text]) => text !== '')
    .map(([name, text]) => `${spaced(name)} ${text}`)
  return (
    <Box as="li" listStyleType="none" py="1.5" borderTop="1px solid" borderColor="rule">
      {reason.severity && <SeverityMark severity={reason.severity} />}
      <Box>{tell(reason, units)}</Box>
      <Box fontSize="small" color="soft">
        {reason.source} · {reason.rule.toLowerCase().replaceAll('_', ' ')}
        {inputs.length > 0 && (
          <Box as="span" display="block">
            from {inputs.join(', ')}
          </Box>
        )}
      </Box>
    </Box>
  )
}

function Answer({ asked }: { readonly asked: Asked }) {
  const { units } = useSettings()
  const write = (x: number) =>
    asked.kind === 'choice' || asked.kind === 'event' ? '' : writeQuantity(asked.kind, x, units)
  return (
    <>
      <Box fontSize="lead" fontWeight="700" mb="1">
        {asked.label}
      </Box>
      {asked.kind !== 'event' && (
        <Box fontSize="figure" fontWeight="650" lineHeight="1.2">
          {asked.kind === 'choice'
            ? (asked.choices.find((c) => c.value === settled(asked))?.label ?? '')
            : write(numberOf(asked))}
        </Box>
      )}
      {asked.kind !== 'event' && asked.kind !== 'choice' && (
        <Box color="soft" mb="1">
          fine from {write(asked.range[0])} to {write(asked.range[1])}
        </Box>
      )}
      {asked.kind !== 'event' && asked.chosen !== undefined && (
        <Box mb="1">
          Your choice. Advised:{' '}
          {asked.kind === 'choice'
            ? (asked.choices.find((c) => c.value === asked.advised)?.label ?? '')
            : write(asked.advised)}
          . Backspace takes it back.
        </Box>
      )}
      <Box as="ul" mt="2">
        {asked.reasons.map((r) => (
          <ReasonLine key={`${r.rule}${tell(r, 'metric')}`} reason={r} />
        ))}
      </Box>
      {asked.kind !== 'event' && whatChanges(asked.key).length > 0 && (
        <Box fontSize="small" borderTop="1px solid" borderColor="rule" pt="1.5">
          <strong>Would change with</strong> {whatChanges(asked.key).join('; ')}.
        </Box>
      )}
    </>
  )
}

/** Answers why: the value that was asked about, else what stands in the way of the run. */
export function WhyPanel({
  asked,
  warnings,
}: {
  readonly asked: Asked | undefined
  /** None while there is no plan. */
  readonly warnings: readonly Reason[] | undefined
}) {
  return (
    <Flex direction="column" minHeight="100%" px="4" py="3" fontSize="small">
      {asked ? (
        <Box aria-live="polite">
          <Answer asked={asked} />
        </Box>
      ) : (
        <Box>
          <Box fontSize="lead" fontWeight="700" mb="2">
            {warnings === undefined
              ? 'Nothing planned yet'
              : warnings.length > 0
                ? 'To look at before the run'
                : 'Nothing stands in the way'}
          </Box>
          <Box as="ul">
            {(warnings ?? []).map((r) => (
              <ReasonLine key={`${r.rule}${tell(r, 'metric')}`} reason={r} />
            ))}
          </Box>
        </Box>
      )}
      <Box mt="auto" pt="4" fontSize="small" color="soft">
        Figures follow common practice and were never measured at your press. Trust your own log first.{' '}
        <Link href="/rules" textDecoration="underline">
          All rules
        </Link>
      </Box>
    </Flex>
  )
}
