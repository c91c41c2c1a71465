'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useCallback, useMemo, useState } from 'react'
import { message } from '@/core/advice'
import { flashBehind, handOrder, putAt, type Way } from '@/core/plan'
import { AdviceChoice } from '@/ui/AdviceValue'
import { Cautions } from '@/ui/Cautions'
import { Link } from '@/ui/elements'
import { useKeys } from '@/ui/keys'
import { type Carried, LapStrip } from '@/ui/lap/LapStrip'
import type { StripScale } from '@/ui/lap/stripCells'
import { Section, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { Notes } from '../../../notes/Notes'
import { useOrder } from '../orderContext'
import { useHeat, useMoves } from '../usePlan'
import { OneLap } from './heat/OneLap'
import { Cycle } from './lap/Cycle'
import { Heads } from './lap/Heads'
import { MoveOutcome } from './lap/MoveOutcome'
import { OtherWays } from './lap/OtherWays'
import { PrintsInTurn } from './lap/PrintsInTurn'
import { SequenceFigures } from './lap/SequenceFigures'
import type { PlanProps } from './planProps'
import { Strokes } from './Strokes'
import { TroubleAtSample } from './TroubleAtSample'

/** A way that is shown beside the plan. */
type Shown = Pick<Way, 'id' | 'label' | 'plan'>

/** Stage 5: the order of printing over the press, other ways to print it, and the stroke of every hit. */
export function SequenceStage({ plan }: PlanProps) {
  const { setPrintOrder } = useOrder()
  const [scale, setScale] = useState<StripScale>('places')
  const [other, setOther] = useState<Shown>()
  const takeBack = useCallback(() => setPrintOrder([]), [setPrintOrder])
  useKeys(
    useMemo(
      () =>
        plan.sequence.byHand
          ? [{ keys: 'Backspace', label: 'Take the order by hand back', act: takeBack }]
          : [],
      [plan.sequence.byHand, takeBack],
    ),
  )
  return (
    <>
      <Notes about="press" of={plan.press.id} name={plan.press.name} still />
      <Section
        title="Lap strip"
        side={
          <Flex gap="4" fontSize="small" color="soft" align="baseline">
            {plan.sequence.byHand && (
              <span>
                order by hand
                <TextButton onClick={takeBack}>take back</TextButton>
              </span>
            )}
            <Link
              href={`/runs/${plan.run.id}/register`}
              prefetch={false}
              textDecoration="underline"
              fontWeight="600"
            >
              register
            </Link>
            {plan.sequence.fits && (
              <Link
                href={`/runs/${plan.run.id}/rehearsal`}
                prefetch={false}
                textDecoration="underline"
                fontWeight="600"
              >
                rehearse
              </Link>
            )}
            {plan.sequence.fits && (
              <Link
                href={`/runs/${plan.run.id}/strip`}
                prefetch={false}
                textDecoration="underline"
                fontWeight="600"
              >
                to print
              </Link>
            )}
            <TextButton onClick={() => setScale(scale === 'places' ? 'time' : 'places')}>
              {scale === 'places' ? 'as long as it takes' : 'place by place'}
            </TextButton>
          </Flex>
        }
      >
        {plan.sequence.fits ? <WorkedStrip plan={plan} scale={scale} /> : <DoesNotFit plan={plan} />}
        {plan.sequence.fits && other && (
          <Box mt="4">
            <Flex align="baseline" gap="3" mb="1">
              <Box fontWeight="700">{other.label}</Box>
              <TextButton onClick={() => setOther(undefined)}>close</TextButton>
            </Flex>
            <LapStrip plan={other.plan} scale={scale} label={other.label} />
          </Box>
        )}
      </Section>
      {plan.sequence.fits && <HeatOnTheWay plan={plan} scale={scale} />}
      {plan.sequence.fits && <SequenceFigures plan={plan} />}
      <PrintsInTurn plan={plan} />
      <Heads plan={plan} />
      <Cycle plan={plan} />
      <TroubleAtSample plan={plan} />
      <Strokes plan={plan} side={plan.direction && <AdviceChoice advice={plan.direction} size="small" />} />
      <OtherWays plan={plan} shown={other?.id} onShow={setOther} />
      <Cautions at={plan.press.kind === 'automatic' ? 'automatic' : 'byHand'} />
    </>
  )
}

/** The strip of the plan in force: screens can be moved, and what would follow is told before they are put down. */
function WorkedStrip({ plan, scale }: PlanProps & { readonly scale: StripScale }) {
  const { order, shelf, decisions, setPrintOrder } = useOrder()
  const [carried, setCarried] = useState<Carried>()
  const moves = useMoves(order, shelf.shop, decisions, plan, carried?.hitId)
  if (!decisions) return null
  const by = handOrder(plan, decisions)
  const printed = plan.hits.map((h) => h.hit.id)
  const placeOf = (hitId: string) => printed.indexOf(hitId)
  const put = (hitId: string, place: number) => {
    if (place >= 0 && place < printed.length && place !== placeOf(hitId))
      setPrintOrder(putAt(by, hitId, place))
  }
  return (
    <>
      <LapStrip
        plan={plan}
        scale={scale}
        hands={{
          onStep: (hitId, step) => put(hitId, placeOf(hitId) + step),
          onLift: (hitId) => setCarried({ hitId, place: placeOf(hitId) }),
          onFlash: (hitId) => setPrintOrder(flashBehind(by, hitId)),
          carried,
          onCarry: setCarried,
          onDrop: () => {
            if (carried) put(carried.hitId, carried.place)
            setCarried(undefined)
          },
        }}
      />
      {carried && <MoveOutcome plan={plan} carried={carried} move={moves?.[carried.place]} />}
    </>
  )
}

/** Film, cloth and board under the strip, on a garment's way round; nothing where nothing is flashed. */
function HeatOnTheWay({ plan, scale }: PlanProps & { readonly scale: StripScale }) {
  const heat = useHeat(plan)
  const isFlashed = plan.flashes.some((f) => f.unit)
  return isFlashed ? (
    <Section title="Heat on the way round">
      <Box minHeight="30rem">{heat && <OneLap plan={plan} heat={heat} under={scale} />}</Box>
    </Section>
  ) : null
}

function DoesNotFit({ plan }: PlanProps) {
  const { units } = useSettings()
  const [main, ...rest] = plan.sequence.reasons
  return (
    <Box role="alert" py="3" maxWidth="42rem">
      <SeverityMark severity="Stop" />
      <Box fontSize="lead" fontWeight="650" mt="1">
        {main && message(main, units)}
      </Box>
      <Box as="ul" listStyleType="none" color="soft" mt="1">
        {rest.map((r) => (
          <li key={message(r, units)}>{message(r, units)}</li>
        ))}
      </Box>
    </Box>
  )
}
