'use client'

import { Box, Flex } from '@chakra-ui/react'
import { ChevronDown, ChevronUp, X } from 'lucide-react'
import { inputText, message, numberOf, type Reason, settled } from '@/core/advice'
import { whatChanges } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import type { Answer as AnswerState, Shown } from './answer'
import type { Asked } from './desk'
import { Button, Link } from './elements'
import { SeverityMark } from './Severity'
import { useSettings } from './settings'

/** `wantedBy` as `wanted by`. */
const spaced = (name: string) => name.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`)

/** Where a rule stands in the rule book. */
export const ruleHref = (rule: string) => `/rules#${rule}`

/** One reason in words, with what kind of knowledge it is and the way to its rule. */
export function ReasonLine({ reason }: { readonly reason: Reason }) {
  const { units } = useSettings()
  // What the sentence names already is not said again; names alone say nothing.
  const further = Object.entries(reason.inputs)
    .filter(([name, input]) => typeof input !== 'string' && !reason.says.includes(`{${name}}`))
    .map(([name, input]) => `${spaced(name)} ${inputText(input, units)}`)
  return (
    <Box as="li" listStyleType="none" py="1.5" borderTop="1px solid" borderColor="rule">
      {reason.severity && <SeverityMark severity={reason.severity} />}
      <Box>{message(reason, units)}</Box>
      <Box fontSize="small" color="soft">
        {further.length > 0 && `${further.join(', ')} · `}
        {reason.source} ·{' '}
        <Link href={ruleHref(reason.rule)} textDecoration="underline" aria-label="The rule in the rule book">
          rule
        </Link>
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
          <ReasonLine key={`${r.rule}${message(r, 'metric')}`} reason={r} />
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

interface PanelProps {
  readonly answer: AnswerState
  /** What is open in the run; none while there is no plan. */
  readonly warnings?: readonly Reason[] | undefined
}

/** What the panel says in one line, for where there is room for no more. */
function headOf(shown: Shown, count: number): string {
  if (shown.kind !== 'open') return shown.label
  return count > 0 ? 'Before the run' : 'Nothing stands in the way'
}

/** Answers why beside the work, or lists what is open in the run; a sheet from below where the window is small. */
export function WhyPanel({ answer, warnings = [] }: PanelProps) {
  const { shown, unfolded, fold, close } = answer
  if (!shown) return null
  const body = { base: unfolded ? 'flex' : 'none', xl: 'flex' }
  return (
    <Flex
      direction="column"
      minHeight={{ base: '0', xl: '100%' }}
      px="4"
      py={{ base: '1.5', xl: '3' }}
      fontSize="small"
    >
      <Flex align="center" gap="3" mb={{ base: unfolded ? '2' : '0', xl: '2' }}>
        <Box as="h2" fontSize="lead" fontWeight="700" lineHeight="1.2" flex="1" minWidth="0">
          <Button
            type="button"
            onClick={fold}
            aria-expanded={unfolded}
            display={{ base: 'flex', xl: 'none' }}
            alignItems="center"
            gap="2"
            width="100%"
            minHeight="2.4rem"
            textAlign="left"
            fontWeight="700"
          >
            {unfolded ? (
              <ChevronDown size={16} aria-hidden="true" />
            ) : (
              <ChevronUp size={16} aria-hidden="true" />
            )}
            <Box as="span" truncate>
              {headOf(shown, warnings.length)}
            </Box>
          </Button>
          <Box as="span" display={{ base: 'none', xl: 'inline' }}>
            {headOf(shown, warnings.length)}
          </Box>
        </Box>
        <Button
          type="button"
          onClick={close}
          aria-label="Close (Escape)"
          title="Close (Escape)"
          p="1.5"
          cursor="pointer"
        >
          <X size={16} aria-hidden="true" />
        </Button>
      </Flex>
      <Box display={body} flexDirection="column" flex="1">
        {shown.kind === 'open' ? (
          <Box as="ul">
            {warnings.map((r) => (
              <ReasonLine key={`${r.rule}${message(r, 'metric')}`} reason={r} />
            ))}
          </Box>
        ) : (
          <Box aria-live="polite">
            <Answer asked={shown} />
          </Box>
        )}
        <Box mt="auto" pt="4" fontSize="small" color="soft">
          Figures follow common practice and were never measured at your press. Trust your own log first.{' '}
          <Link href="/rules" textDecoration="underline">
            All rules
          </Link>
        </Box>
      </Box>
    </Flex>
  )
}
