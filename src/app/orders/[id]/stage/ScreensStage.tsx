'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { numberOf } from '@/core/advice'
import { type HitPlan, ownScreens, type RunPlan } from '@/core/plan'
import { fabricOf, opening } from '@/core/screen'
import { AdviceChoice, AdviceNumber } from '@/ui/AdviceValue'
import { AskNumber, FactMeasure } from '@/ui/AskNumber'
import { useDesk } from '@/ui/desk'
import { Link } from '@/ui/elements'
import { FilmPositionDrawing } from '@/ui/FilmPositionDrawing'
import { InOtherUnit, Measure } from '@/ui/Measure'
import { ChoiceFigure, Figure, Headline, InkName } from '@/ui/parts'
import { Section, Table, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useAsPrinted } from '@/ui/settings'
import { Unseen } from '@/ui/Unseen'
import { useOrder } from '../orderContext'
import type { PlanProps } from './planProps'
import { Together } from './Together'
import { useRoomFrames } from './useRoomFrames'

/** Stage 3: a screen for every colour, and where its film is taped. */
export function ScreensStage({ plan }: PlanProps) {
  const asPrinted = useAsPrinted()
  const screens = ownScreens(plan.hits)
  const roomFrame = useRoomFrames(plan, useOrder().order.id)
  // By itself the run would have its frames: among all orders it has not.
  const without = screens.some((h) => {
    const room = roomFrame(h.hit.id)
    return room && room.frame === undefined && h.frame !== undefined
  })
  return (
    <>
      <Section
        title={`${screens.length} ${screens.length === 1 ? 'screen' : 'screens'}, in print order`}
        side={
          <Flex gap="4">
            <Link href="/screens" textDecoration="underline">
              Screen room
            </Link>
            <Link
              href={`/api/runs/${plan.run.id}/position.pdf?${asPrinted}`}
              prefetch={false}
              textDecoration="underline"
            >
              Position sheet (PDF)
            </Link>
          </Flex>
        }
      >
        {without && (
          <Box role="status" aria-label="Frames of other runs" pt="2">
            <SeverityMark severity="Watch" /> Not all of these have a frame: runs that print earlier take
            them. What is free, and when, is in the screen room.
          </Box>
        )}
        <Table
          minWidth={{ base: '48rem', lg: '0' }}
          css={{
            tableLayout: { base: 'auto', lg: 'fixed' },
            '& td': { paddingBlock: '4px' },
            '& select': { width: '100%' },
          }}
        >
          <thead>
            <tr>
              <th>Screen</th>
              {[
                ['Mesh', '5.2rem', 'num'],
                ['Opening', '4.6rem', 'num'],
                ['Frame', '5rem', ''],
                ['Emulsion', '8rem', ''],
                ['Coats', '3.2rem', 'num'],
                ['EOM', '3.6rem', 'num'],
                ['Expose', '4.2rem', 'num'],
                ['Dry deposit', '3.6rem', 'num'],
              ].map(([name, width, className]) => (
                <th key={name} style={{ width }} className={className}>
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {screens.map((h) => (
              <ScreenRow key={h.hit.id} plan={plan} hit={h} room={roomFrame(h.hit.id)} />
            ))}
          </tbody>
        </Table>
      </Section>
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 17rem' }} gap="8">
        <Position plan={plan} />
        <Fit plan={plan} />
      </Grid>
      <Together plan={plan} />
    </>
  )
}

interface RowProps {
  readonly plan: RunPlan
  readonly hit: HitPlan
  /** What the screen room says, once it has answered. */
  readonly room: ReturnType<ReturnType<typeof useRoomFrames>>
}

function ScreenRow({ plan, hit: h, room }: RowProps) {
  const { ask } = useDesk()
  const { shelf } = useOrder()
  const frame = room ? room.frame : h.frame?.id
  const fabric = fabricOf(shelf.shop.screens.fabrics, numberOf(h.mesh))
  // Where other runs hold the frames, they come free; where the shop has too few, they never do.
  const short = plan.frames.some((r) => r.rule === 'FRAMES_SHORT')
  return (
    <tr>
      <td>
        <InkName hex={h.hex} name={h.hit.name} />
        {h.rise && <AdviceChoice advice={h.rise} />}
      </td>
      <td className="num">
        <AdviceNumber advice={h.mesh} size="title" />
        <Box lineHeight="1.1">
          <AskNumber label={`${h.mesh.label}, in the other unit`} reasons={h.mesh.reasons}>
            <InOtherUnit kind="meshCount" value={numberOf(h.mesh)} />
          </AskNumber>
        </Box>
      </td>
      <td className="num">
        <AskNumber
          label={`Opening, ${h.hit.name}`}
          reasons={h.mesh.reasons.filter((r) => r.rule === 'MESH_DEPOSIT')}
        >
          <Measure kind="thickness" value={opening(fabric)} />
        </AskNumber>
      </td>
      <td>
        <TextButton
          px="0"
          textAlign="left"
          whiteSpace="nowrap"
          onClick={() =>
            ask({ kind: 'event', label: `Frame, ${h.hit.name}`, reasons: room?.why ?? plan.frames })
          }
        >
          <Unseen label={`Frame, ${h.hit.name}`} />
          {frame ?? (
            <>
              <SeverityMark severity={short ? 'Stop' : 'Watch'} />
              <br />
              none left
            </>
          )}
        </TextButton>
      </td>
      {h.frame?.standing ? (
        <td colSpan={4}>stands ready: neither coated nor exposed</td>
      ) : (
        <StencilCells hit={h} />
      )}
      <td className="num">{h.deposit ? <AdviceNumber advice={h.deposit} /> : 'none'}</td>
    </tr>
  )
}

/** How the stencil of this screen is made. */
function StencilCells({ hit: h }: { readonly hit: HitPlan }) {
  return (
    <>
      <td>
        <AdviceChoice advice={h.stencil.emulsion} />
      </td>
      <td className="num">
        <AdviceNumber advice={h.stencil.coats} />
      </td>
      <td className="num">
        <AdviceNumber advice={h.stencil.build} />
      </td>
      <td className="num">
        {h.exposure ? (
          <Box whiteSpace="nowrap">
            {h.exposure.confidence === 'none' && (
              <Box as="span" color="soft" fontSize="small">
                guess{' '}
              </Box>
            )}
            <AdviceNumber advice={h.exposure.time} size="lead" />
          </Box>
        ) : (
          'none'
        )}
      </td>
    </>
  )
}

/** What is measured for every film of the run. */
function Position({ plan }: { readonly plan: RunPlan }) {
  const { position: p } = plan
  const number = (label: string, value: number) => (
    <Headline label={label}>
      <AskNumber label={label} reasons={p.reasons}>
        <Measure kind="length" value={value} />
      </AskNumber>
    </Headline>
  )
  return (
    <Section title="Every film on its frame">
      <Flex gap="6" align="start">
        <FilmPositionDrawing position={p} height={400} />
        <Flex direction="column" gap="3">
          <Figure advice={p.put.top} />
          <Figure advice={p.put.left} />
          {number('Right edge to right mark', p.right)}
          {number('Top edge to side marks', p.sideMarks)}
        </Flex>
      </Flex>
    </Section>
  )
}

/** How the frames of the run fit each other, and what is one for all screens. */
function Fit({ plan }: { readonly plan: RunPlan }) {
  const { tension, run } = plan
  return (
    <Section title="For all screens">
      <Flex direction="column" gap="3">
        <Figure advice={plan.offContact} />
        <Figure advice={plan.squeegeeLength} />
        <ChoiceFigure advice={plan.medium} />
        <Headline label="Tension differs by">
          <AskNumber label="Spread of tension" reasons={tension.reasons}>
            <Measure kind="tension" value={tension.spread} />
          </AskNumber>
        </Headline>
        <Box fontSize="small" color="soft">
          if lost after burning, up to{' '}
          <AskNumber label="Misregister from tension" reasons={tension.reasons}>
            <Measure kind="fine" value={tension.off} />
          </AskNumber>{' '}
          at the edge of the print
        </Box>
        <Box fontSize="small" color="soft">
          Print <FactMeasure label="Width" kind="length" value={run.placement.width} rule="ART" /> ×{' '}
          <FactMeasure label="Height" kind="length" value={run.placement.height} rule="ART" />
        </Box>
      </Flex>
    </Section>
  )
}
