'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { DndContext, type DragEndEvent, MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core'
import { type KeyboardEvent, useEffect, useRef } from 'react'
import { q } from '@/core/advice'
import { PLAN, type RunPlan } from '@/core/plan'
import { AskNumber } from '../AskNumber'
import { Measure } from '../Measure'
import { type CellHands, StripCell } from './StripCell'
import { cellShares, type StripScale, stripCells, WIDEST } from './stripCells'

/** How a screen that is taken up is carried: from where, and to which place of the order. */
export interface Carried {
  readonly hitId: string
  readonly place: number
}

interface Props {
  readonly plan: RunPlan
  /** Cells as wide as their places, or as long as they take. */
  readonly scale: StripScale
  readonly label?: string
  /** None on a strip that is only looked at. */
  readonly hands?: CellHands & {
    readonly carried: Carried | undefined
    readonly onCarry: (carried: Carried | undefined) => void
    readonly onDrop: () => void
  }
}

/** No narrower than this, rem a cell, where the window is. */
const NARROWEST = 3.7

/** The press unrolled into a strip: what is mounted at each place, and the ink on the cloth when a garment leaves it. */
export function LapStrip({ plan, scale, label = 'Lap strip', hands }: Props) {
  const { cells, tallest } = stripCells(plan)
  const strip = useRef<HTMLDivElement>(null)
  const moved = useRef<{ readonly hitId: string; readonly from: string }>(undefined)
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  )
  // The focus goes with the screen that was moved. A plan made anew for another cause keeps the order it had.
  useEffect(() => {
    if (!moved.current || orderOf(plan) === moved.current.from) return
    const { hitId } = moved.current
    moved.current = undefined
    const focus = document.activeElement
    // A cell that became another kind took the focus with it: then none has it.
    if (focus === document.body || strip.current?.contains(focus))
      strip.current?.querySelector<HTMLElement>(`[data-cell="${CSS.escape(hitId)}"]`)?.focus()
  }, [plan])
  const printed = plan.hits.map((h) => h.hit.id)
  const carried = hands?.carried
  const follow = (hitId: string) => {
    moved.current = { hitId, from: orderOf(plan) }
  }
  const own: CellHands | undefined = hands && {
    ...hands,
    onStep: (hitId, step) => {
      follow(hitId)
      hands.onStep(hitId, step)
    },
    onFlash: (hitId) => {
      follow(hitId)
      hands.onFlash(hitId)
    },
  }
  const keys = (e: KeyboardEvent) => {
    if (!hands || !carried) return
    const step = { ArrowLeft: -1, ArrowRight: 1 }[e.key] ?? 0
    if (step !== 0 && !e.altKey) {
      const place = Math.max(0, Math.min(printed.length - 1, carried.place + step))
      hands.onCarry({ ...carried, place })
    } else if (e.key === 'Enter') {
      follow(carried.hitId)
      hands.onDrop()
    } else if (e.key === 'Escape') hands.onCarry(undefined)
    else return
    e.preventDefault()
    e.stopPropagation()
  }
  const placeOf = (id: unknown) => printed.indexOf(String(id))
  const over = ({ active, over: at }: Pick<DragEndEvent, 'active' | 'over'>) => {
    if (at && hands) hands.onCarry({ hitId: String(active.id), place: placeOf(at.id) })
  }
  const target = carried && targetOf(printed, carried)
  const list = (
    <Box overflowX={{ base: 'auto', md: 'visible' }}>
      <Grid
        as="ol"
        listStyleType="none"
        aria-label={label}
        width="100%"
        // On a phone it moves sideways by itself: no name is broken in the middle.
        minWidth={{ base: `${cells.length * NARROWEST}rem`, md: '0' }}
        style={{
          maxWidth: `${cells.length * WIDEST}rem`,
          // As wide as at last from the first cell that has come on.
          gridTemplateColumns: cellShares(plan, cells, scale)
            .map((share) => `minmax(0, ${(100 * share).toFixed(3)}fr)`)
            .join(' '),
        }}
      >
        {cells.map((c, i) => {
          const hitId = c.cell.kind === 'print' ? c.cell.hitId : undefined
          return (
            <StripCell
              // biome-ignore lint/suspicious/noArrayIndexKey: a place of the strip is its index
              key={i}
              plan={plan}
              strip={c}
              tallest={tallest}
              place={c.begins ? `${c.place} · lap ${c.begins}` : c.place}
              hands={own}
              lifted={hitId !== undefined && hitId === carried?.hitId}
              target={hitId !== undefined && hitId === target}
            />
          )
        })}
      </Grid>
    </Box>
  )
  return (
    // The keys of a screen that is carried count wherever the focus is on the strip.
    <Box ref={strip} onKeyDownCapture={keys}>
      {hands ? (
        <DndContext
          id="lap"
          sensors={sensors}
          onDragStart={({ active }) => hands.onLift(String(active.id))}
          onDragOver={over}
          onDragEnd={({ over: at }) => (at ? hands.onDrop() : hands.onCarry(undefined))}
          onDragCancel={() => hands.onCarry(undefined)}
        >
          {list}
        </DndContext>
      ) : (
        list
      )}
      <Flex justify="space-between" fontSize="small" color="soft" mt="1" gap="4">
        <Box as="span">
          {hands
            ? 'Drag a screen, or m to take it up and Enter to put it down; Alt with an arrow moves it at once, f wants a flash behind it, w asks why.'
            : ''}
        </Box>
        <Box as="span" whiteSpace="nowrap">
          thickest ink{' '}
          <AskNumber
            label={`Thickest ink, ${label.toLowerCase()}`}
            reasons={[PLAN.because('TALLEST', { film: q('thickness', tallest) })]}
          >
            <Measure kind="thickness" value={tallest} />
          </AskNumber>
        </Box>
      </Flex>
    </Box>
  )
}

/** What is at the places, in order. */
const orderOf = (plan: RunPlan) =>
  plan.sequence.cells.map((c) => (c.kind === 'print' ? c.hitId : c.kind)).join()

/** The screen in whose place the carried one would come. */
function targetOf(printed: readonly string[], { hitId, place }: Carried): string | undefined {
  const from = printed.indexOf(hitId)
  return place === from ? undefined : printed[place]
}
