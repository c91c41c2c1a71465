'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { BROKE, type Broke, headsOf, type MountedAt, type Press, STEPS } from '@/core/equipment'
import type { RoomLine } from '@/core/plan'
import { sayMoment } from '@/ui/clock'
import { useDesk } from '@/ui/desk'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { InkName } from '@/ui/parts'
import { TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { Unseen } from '@/ui/Unseen'
import { useShop } from '../shop/shopContext'

/** One screen: its frame, what it is, and one button for what is next. */
export function LineRow({
  line,
  now,
  onAdvance,
  onBroke,
}: {
  readonly line: RoomLine
  readonly now: number | undefined
  readonly onAdvance: (lines: readonly RoomLine[], head?: number) => void
  readonly onBroke: (line: RoomLine, what: Broke) => void
}) {
  const { ask } = useDesk()
  const { job, screen, frame, next } = line
  const press = useShop().shop.presses.find((p) => p.id === job.pressId)
  const heads = press && next === 'mount' ? headsOf(press) : []
  const [picked, setPicked] = useState<number>()
  const head = picked ?? screen.head
  const of = `${screen.name}, ${job.words}, ${job.print}`
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
        <Unseen label={`Frame, ${of}`} />
        {frame ? frame.id : 'no frame'}
      </TextButton>
      <Flex gap="3" align="baseline" minWidth="0">
        <InkName hex={screen.hex} name={screen.name} />
        {frame?.stencil && (
          <Select
            aria-label={`Broke, ${of}`}
            value=""
            fontSize="small"
            color="soft"
            width="4.6rem"
            onChange={(e) => onBroke(line, e.target.value as Broke)}
          >
            <option value="">broke …</option>
            {Object.entries(BROKE).map(([what, words]) => (
              <option key={what} value={what}>
                {words}
              </option>
            ))}
          </Select>
        )}
      </Flex>
      <Measure kind="meshCount" value={screen.mesh} />
      {heads.length > 0 ? (
        <Select
          aria-label={`Head, ${of}`}
          value={head ?? ''}
          onChange={(e) => setPicked(Number(e.target.value))}
        >
          {head === undefined && <option value="">which head?</option>}
          {heads.map((h) => (
            <option key={h.number} value={h.number}>
              head {h.number}
            </option>
          ))}
        </Select>
      ) : (
        <DryAt line={line} now={now} />
      )}
      {next ? (
        <PushButton
          type="button"
          px="3"
          disabled={!frame || (heads.length > 0 && head === undefined)}
          aria-label={`${STEPS[next]}: done, ${of}`}
          onClick={() => onAdvance([line], picked)}
        >
          {DONE[next]}
        </PushButton>
      ) : (
        <Box>{frame?.mounted && heldAt(frame.mounted, press)}</Box>
      )}
    </Grid>
  )
}

/** Where it is mounted, at its own press or at another. */
const heldAt = ({ pressId, head }: MountedAt, press: Press | undefined): string =>
  press?.id === pressId ? (press.kind === 'bench' ? 'mounted' : `head ${head}`) : 'at another press'

const DONE = {
  coat: 'Coated',
  dry: 'It is dry',
  expose: 'Exposed',
  wash: 'Washed out',
  dryOff: 'It is dry',
  harden: 'Hardened',
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
