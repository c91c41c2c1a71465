'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { STEPS } from '@/core/equipment'
import type { RoomLine } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { sayMoment } from '@/ui/clock'
import { useDesk } from '@/ui/desk'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { InkName } from '@/ui/parts'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'

/** One screen: its frame, what it is, by when, and one button for what is next. */
export function LineRow({
  line,
  now,
  onAdvance,
}: {
  readonly line: RoomLine
  readonly now: number | undefined
  readonly onAdvance: (lines: readonly RoomLine[]) => void
}) {
  const { ask } = useDesk()
  const { job, screen, frame, next } = line
  return (
    <Grid
      templateColumns={{
        base: '4.6rem minmax(0, 1fr) 7.5rem',
        lg: '5.4rem minmax(0, 1.1fr) minmax(0, 1.3fr) 4.6rem 9.6rem 8.5rem',
      }}
      gap="3"
      alignItems="center"
      borderTop="1px solid"
      borderColor="rule"
      py="1"
      data-screen={line.key}
    >
      <TextButton
        px="0"
        textAlign="left"
        fontSize="title"
        fontWeight="700"
        textDecoration="none"
        onClick={() => ask({ kind: 'event', label: `Frame, ${screen.name}`, reasons: line.frameWhy })}
      >
        {frame ? frame.id : 'no frame'}
      </TextButton>
      <InkName hex={screen.hex} name={screen.name} />
      <Box minWidth="0" lineHeight="1.2">
        <Link
          href={`/orders/${job.orderId}/screens?run=${job.runId}`}
          _hover={{ textDecoration: 'underline' }}
        >
          <Box truncate>{job.words}</Box>
        </Link>
        <Box fontSize="small" color="soft">
          {job.orderId} {job.print}
        </Box>
      </Box>
      <Measure kind="meshCount" value={screen.mesh} />
      <ByWhen line={line} now={now} />
      {next ? (
        <PushButton
          type="button"
          px="3"
          disabled={!frame}
          aria-label={`${STEPS[next]}: done, ${screen.name}, ${job.words}`}
          onClick={() => onAdvance([line])}
        >
          {DONE[next]}
        </PushButton>
      ) : (
        <Box>hangs</Box>
      )}
    </Grid>
  )
}

const DONE = {
  coat: 'Coated',
  dry: 'It is dry',
  expose: 'Exposed',
  wash: 'Washed out',
  dryOff: 'It is dry',
  check: 'Checked',
  tape: 'Taped',
  hang: 'Hangs',
} as const

/** When it is dry, or when it must be begun; late in word and shape. */
function ByWhen({
  line: { dryAt, latest, latestWhy, screen },
  now,
}: {
  readonly line: RoomLine
  readonly now: number | undefined
}) {
  if (dryAt !== undefined && (now === undefined || dryAt > now)) {
    return (
      <Box lineHeight="1.2">
        <Box fontSize="small" color="soft">
          dry at
        </Box>
        <Box fontWeight="650">{sayMoment(dryAt, 'HH:mm')}</Box>
      </Box>
    )
  }
  if (latest === undefined || !latestWhy) return <Box />
  const late = now !== undefined && latest < now
  return (
    <AskNumber label={`Latest start, ${screen.name}`} reasons={[latestWhy]}>
      <Flex direction="column" align="start" lineHeight="1.2">
        <Box fontSize="small" color={late ? 'ink' : 'soft'}>
          {late ? <SeverityMark severity="Watch" /> : 'begin by'}
        </Box>
        <Box fontWeight={late ? '750' : '600'} whiteSpace="nowrap">
          {late ? 'was ' : ''}
          {sayMoment(latest)}
        </Box>
      </Flex>
    </AskNumber>
  )
}
