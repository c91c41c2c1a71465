import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { message, type Reason } from '@/core/advice'
import type { RemedyId } from '@/core/trouble'
import { Button } from '../elements'
import { SeverityMark } from '../Severity'
import { useSettings } from '../settings'
import { remedyWords, timeWords } from './words'

/** What takes this long, or stops the press for it, is asked about once more, s. */
const DEAR = 600

const MODELS = {
  work: '. What it breaks is being worked out.',
  ready: '. Tap when it is done.',
  away: '. Tap when it is done. Without a line what it breaks could not be worked out: mind the next screens.',
} as const

/** What to do first: one large target, with what it takes and what it breaks beside it. */
export function RemedyAtHand({
  remedy,
  seconds,
  spoils,
  sides,
  models,
  later,
  onDo,
}: {
  readonly remedy: RemedyId
  readonly seconds: number
  readonly spoils: number
  readonly sides: readonly Reason[] | undefined
  /** Whether the models have answered what it breaks, or cannot be asked: without a line. */
  readonly models: 'work' | 'ready' | 'away'
  /** What comes if it does not help. */
  readonly later: readonly RemedyId[]
  readonly onDo: (remedy: RemedyId) => void
}) {
  const { units } = useSettings()
  const [sure, setSure] = useState(false)
  const dear = seconds >= DEAR
  return (
    <Box role="group" aria-label="What to do">
      <Button
        type="button"
        width="100%"
        minHeight="6rem"
        p="3"
        bg="ink"
        color="work"
        textAlign="left"
        disabled={models === 'work'}
        onClick={() => (dear && !sure ? setSure(true) : onDo(remedy))}
        style={{ touchAction: 'manipulation' }}
      >
        <Box fontSize="title" fontWeight="750" lineHeight="1.2">
          {dear && sure ? `Yes: ${remedyWords(remedy, units)}` : remedyWords(remedy, units)}
        </Box>
        <Box fontWeight="500">
          {timeWords(seconds)}
          {spoils > 0 && `, ${spoils < 1 ? 'a piece at risk now and then' : `${Math.round(spoils)} at risk`}`}
          {MODELS[models]}
        </Box>
      </Button>
      {dear && sure && (
        <Box role="status" fontWeight="700" pt="2">
          This takes {timeWords(seconds)}. Look once more before it is begun, then tap again.
        </Box>
      )}
      {sides && sides.length > 0 && (
        <Box as="ul" listStyleType="none" aria-label="What it changes besides" pt="2">
          {sides.map((r) => (
            <Box
              as="li"
              key={`${r.rule} ${message(r, units)}`}
              py="1"
              fontWeight={r.severity ? '700' : '500'}
            >
              {r.severity && <SeverityMark severity={r.severity} />} {message(r, units)}
            </Box>
          ))}
        </Box>
      )}
      {later.length > 0 && (
        <Flex color="soft" pt="2" gap="2" borderTop="1px solid" borderColor="rule" mt="2">
          <Box>
            If that does not help: {later.map((r) => remedyWords(r, units).toLowerCase()).join('; then ')}.
          </Box>
        </Flex>
      )}
    </Box>
  )
}
