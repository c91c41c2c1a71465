'use client'

import { Box, Flex } from '@chakra-ui/react'
import { format } from 'date-fns'
import { type KeyboardEvent, type ReactNode, useCallback, useRef } from 'react'
import type { LaneRun, Lanes as LanesOf, Put } from '@/core/days'
import type { Press } from '@/core/equipment'
import { WHERES } from '@/core/order'
import type { Moment } from '@/core/schedule'
import { TextButton } from '@/ui/Section'
import { LANE_HEIGHT, LaneBar } from './LaneBar'
import { Gaps, Stands } from './LaneGaps'
import { hourMarks, partsOf, type Window } from './scale'
import { useDrag } from './useDrag'

const STEP = 900
/** Width of the names of lanes. */
export const LABEL = '8.5rem'

interface Props {
  readonly lanes: LanesOf
  readonly presses: readonly Press[]
  readonly windows: readonly Window[]
  /** Where a run is being put. */
  readonly held: Put | undefined
  readonly standing: ReadonlyMap<string, Moment>
  /** What goes on beside the presses, below them. */
  readonly children: ReactNode
  readonly onTry: (where: Put) => void
  readonly onTake: () => void
  readonly onLeave: () => void
  readonly onStands: (press: Press) => void
}

/** Every press as a lane of time. A run is dragged, or moved with Alt and the arrows; Enter takes it, Escape leaves it. */
export function Lanes(props: Props) {
  const { lanes, presses, windows, held, standing, children, onTry, onTake, onLeave, onStands } = props
  const tracks = useRef(new Map<string, HTMLDivElement>())
  const onKey = useCallback(
    (e: KeyboardEvent, run: LaneRun) => {
      if (held && e.key === 'Enter') {
        e.preventDefault()
        onTake()
        return
      }
      if (held && e.key === 'Escape') {
        e.preventDefault()
        e.stopPropagation()
        onLeave()
        return
      }
      if (!e.altKey || run.isBegun || !e.key.startsWith('Arrow')) return
      e.preventDefault()
      e.stopPropagation()
      const from = held?.runId === run.facts.runId ? held : { pressId: run.pressId, at: run.start }
      onTry({ runId: run.facts.runId, ...moved(from, e.key, run, presses, lanes.now) })
    },
    [held, lanes.now, onLeave, onTake, onTry, presses],
  )
  const nameOf = namesIn(lanes)
  const drag = useDrag({ tracks, windows, now: lanes.now, onTry, onTake, onLeave })
  const nowAt = partsOf(windows, lanes.now, lanes.now + 60)[0]?.left
  return (
    <Box position="relative" data-lanes userSelect="none">
      <Ruler windows={windows} />
      {presses.map((press) => {
        const own = lanes.runs.filter((r) => r.pressId === press.id)
        const stands = standing.get(press.id)
        return (
          <Flex key={press.id} borderTop="1px solid" borderColor="rule" align="stretch">
            <Box flex="none" width={LABEL} py="1" pr="2">
              <Box fontWeight="650" lineHeight="1.2">
                {press.name}
              </Box>
              <TextButton
                onClick={() => onStands(press)}
                aria-label={`${press.name} ${stands ? 'is back' : 'is down'}`}
                fontSize="small"
                px="0"
                fontWeight="450"
                color="soft"
              >
                {stands ? 'is back' : 'is down …'}
              </TextButton>
            </Box>
            <Box
              ref={(el: HTMLDivElement | null) => {
                if (el) tracks.current.set(press.id, el)
                else tracks.current.delete(press.id)
              }}
              position="relative"
              flex="1"
              minWidth="0"
              style={{ height: LANE_HEIGHT }}
              role="group"
              aria-label={`Runs on ${press.name}`}
            >
              {windows.slice(1).map((w) => (
                <Box
                  key={w.day}
                  position="absolute"
                  top="0"
                  bottom="0"
                  width="2px"
                  bg="rule"
                  style={{ left: `${100 * w.left}%` }}
                />
              ))}
              {stands !== undefined && <Stands windows={windows} from={lanes.now} to={stands} />}
              <Gaps runs={own} windows={windows} now={lanes.now} />
              {own.map((run, i) => (
                <LaneBar
                  key={run.facts.runId}
                  {...{ run, windows, onKey }}
                  name={nameOf(run)}
                  now={lanes.now}
                  pressName={press.name}
                  until={own[i + 1]?.setUp ?? Number.POSITIVE_INFINITY}
                  isHeld={held?.runId === run.facts.runId}
                  onHold={drag}
                />
              ))}
              {held?.pressId === press.id && <Ghost windows={windows} at={held.at} />}
            </Box>
          </Flex>
        )
      })}
      {children}
      {nowAt !== undefined && (
        <Box position="absolute" top="0" bottom="0" left={LABEL} right="0" pointerEvents="none">
          <Box
            position="absolute"
            top="0"
            bottom="0"
            width="2px"
            bg="ink"
            style={{ left: `${100 * nowAt}%` }}
            aria-hidden
          />
        </Box>
      )}
    </Box>
  )
}

/** Two prints of a job are told apart by where they are. */
function namesIn({ runs }: LanesOf): (run: LaneRun) => string {
  const prints = new Map<string, Set<string>>()
  for (const { facts } of runs)
    prints.set(facts.orderId, (prints.get(facts.orderId) ?? new Set()).add(facts.where ?? ''))
  return ({ facts }) =>
    facts.where && (prints.get(facts.orderId)?.size ?? 0) > 1
      ? `${WHERES[facts.where]}: ${facts.words}`
      : facts.words
}

/** One step of a key: a quarter of an hour, or the next press that can print it. */
function moved(
  from: { readonly pressId: string; readonly at: Moment },
  key: string,
  run: LaneRun,
  presses: readonly Press[],
  now: Moment,
) {
  const by = key === 'ArrowRight' ? STEP : key === 'ArrowLeft' ? -STEP : 0
  if (by !== 0) return { ...from, at: Math.max(now, Math.round((from.at + by) / STEP) * STEP) }
  const able = presses.filter((p) => run.facts.on.some((o) => o.pressId === p.id))
  const at = able.findIndex((p) => p.id === from.pressId) + (key === 'ArrowDown' ? 1 : -1)
  return { ...from, pressId: able[Math.max(0, Math.min(able.length - 1, at))]?.id ?? from.pressId }
}

function Ruler({ windows }: { readonly windows: readonly Window[] }) {
  return (
    <Flex>
      <Box flex="none" width={LABEL} />
      <Box position="relative" flex="1" height="2.5em" fontSize="small" color="soft">
        {windows.map((w) => (
          <Box
            key={w.day}
            position="absolute"
            top="0"
            whiteSpace="nowrap"
            overflow="hidden"
            fontWeight="650"
            color="ink"
            style={{ left: `${100 * w.left}%`, width: `${100 * w.width}%` }}
          >
            {format(new Date(w.day * 1000 + new Date(w.day * 1000).getTimezoneOffset() * 60_000), 'EEEE d')}
          </Box>
        ))}
        {hourMarks(windows).map((m) => (
          <Box
            key={`${m.day} ${m.hour}`}
            position="absolute"
            bottom="0"
            lineHeight="1"
            borderLeft="1px solid"
            borderColor="rule"
            pl="1"
            style={{ left: `${100 * m.left}%` }}
          >
            {m.hour}
          </Box>
        ))}
      </Box>
    </Flex>
  )
}

/** Where what is held would begin. */
function Ghost({ windows, at }: { readonly windows: readonly Window[]; readonly at: Moment }) {
  const [part] = partsOf(windows, at, at + 60)
  return part ? (
    <Box
      position="absolute"
      top="0"
      bottom="0"
      width="6px"
      bg="ink"
      pointerEvents="none"
      style={{ left: `${100 * part.left}%` }}
      data-ghost
    />
  ) : null
}
