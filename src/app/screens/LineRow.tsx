'use client'

import { Box, Grid } from '@chakra-ui/react'
import { STEPS } from '@/core/equipment'
import type { RoomLine } from '@/core/plan'
import { sayMoment } from '@/ui/clock'
import { useDesk } from '@/ui/desk'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { InkName } from '@/ui/parts'
import { TextButton } from '@/ui/Section'

/** One screen: its frame, what it is, and one button for what is next. */
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
        lg: '5.4rem minmax(0, 1fr) 6rem 6rem 8.5rem',
      }}
      gap="3"
      alignItems="center"
      py="0.5"
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
      <Measure kind="meshCount" value={screen.mesh} />
      <DryAt line={line} now={now} />
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
        <Box>mounted</Box>
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
  mount: 'Mounted',
} as const

/** When it should be dry. */
function DryAt({ line: { dryAt }, now }: { readonly line: RoomLine; readonly now: number | undefined }) {
  if (dryAt === undefined || (now !== undefined && dryAt <= now)) return <Box />
  return (
    <Box lineHeight="1.2">
      <Box fontSize="small" color="soft">
        dry at
      </Box>
      <Box fontWeight="650">{sayMoment(dryAt, 'HH:mm')}</Box>
    </Box>
  )
}
