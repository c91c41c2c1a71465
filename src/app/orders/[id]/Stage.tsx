'use client'

import { Box } from '@chakra-ui/react'
import type { ComponentType } from 'react'
import type { KnownHead } from '@/core/registration'
import { Day } from '@/ui/day'
import { useOrder } from './orderContext'
import { ArtStage } from './stage/ArtStage'
import { Expected } from './stage/Expected'
import type { FilmsByPrint } from './stage/films/useFilms'
import { HeatStage } from './stage/HeatStage'
import { InkStage } from './stage/InkStage'
import { OrderStage } from './stage/OrderStage'
import { PlacementStage } from './stage/PlacementStage'
import { Practices } from './stage/Practices'
import type { PlanProps } from './stage/planProps'
import { RunStage } from './stage/RunStage'
import { ScreensStage } from './stage/ScreensStage'
import { SequenceStage } from './stage/SequenceStage'
import type { StageName } from './stages'

const PLANNED: Readonly<Record<Exclude<StageName, 'order' | 'art'>, ComponentType<PlanProps>>> = {
  screens: ScreensStage,
  ink: InkStage,
  sequence: SequenceStage,
  placement: PlacementStage,
  heat: HeatStage,
  run: RunStage,
}

/** One stage of the traveller; every stage has the same frame. */
export function Stage({
  stage,
  films,
  heads,
}: {
  readonly stage: StageName
  readonly films: FilmsByPrint | undefined
  /** Heads whose locks are noted. */
  readonly heads: readonly KnownHead[]
}) {
  const { plan, asOf } = useOrder()
  if (stage === 'order') return <OrderStage />
  if (stage === 'art') return <ArtStage films={films} />
  if (!plan) return <NotYet />
  const Planned = PLANNED[stage]
  return (
    <>
      {asOf && (
        <Box role="status" mb="3">
          Planning … Until then, within the dashes, as it was planned <Day at={asOf} as="EEE d MMM, HH:mm" />.
        </Box>
      )}
      {/* Not paler: under load this stands for seconds, and is read by then. */}
      <Box outline={asOf ? '2px dashed' : undefined} outlineColor="soft" outlineOffset="8px">
        <Planned plan={plan} />
        {stage === 'sequence' && <Expected plan={plan} heads={heads} />}
      </Box>
      <Practices stage={stage} />
    </>
  )
}

/** Why there is no plan, and what to do. */
function NotYet() {
  const { shelf, runs, run } = useOrder()
  const words =
    shelf.shop.presses.length === 0
      ? 'This shop has no press yet, so nothing can be planned. Start the demo shop with npm run demo.'
      : runs.length === 0
        ? 'No garments to print yet: give the sizes their quantities at stage 1.'
        : run?.placement.inks.length === 0
          ? 'This print has no colours yet: add them at stage 2.'
          : 'Planning …'
  return (
    <Box role="status" fontSize="lead" pt="6" maxWidth="34rem">
      {words}
    </Box>
  )
}
