import { Box } from '@chakra-ui/react'
import { message } from '@/core/advice'
import type { Move } from '@/core/plan'
import type { Carried } from '@/ui/lap/LapStrip'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import type { PlanProps } from '../planProps'

interface Props extends PlanProps {
  readonly carried: Carried
  /** None while it is worked out. */
  readonly move: Move | undefined
}

/** What would follow if the carried screen were put down where it is. */
export function MoveOutcome({ plan, carried, move }: Props) {
  const { units } = useSettings()
  const name = plan.hits.find((h) => h.hit.id === carried.hitId)?.hit.name ?? ''
  const change = (what: string, from: number, to: number) =>
    from === to ? `${to} ${what} as now` : `${to} ${what} instead of ${from}`
  return (
    <Box role="status" aria-label="What would follow" bg="raised" px="3" py="2" mt="2" fontSize="lead">
      <b>
        {name}, place {carried.place + 1}
      </b>
      {': '}
      {!move ? (
        '…'
      ) : move.fits ? (
        <>
          {change('flashes', plan.flashes.length, move.flashes)},{' '}
          {change('wet contact risk', Math.round(plan.sequence.wetRisk), Math.round(move.wetRisk))}
          {move.laps === 2 && plan.sequence.laps === 1 && (
            <>
              , <SeverityMark severity="Watch" /> two laps
            </>
          )}
          {move.why[0] && move.wetRisk > plan.sequence.wetRisk + 0.5 && (
            <Box fontSize="small" color="soft">
              {message(move.why[0], units)}
            </Box>
          )}
        </>
      ) : (
        <>
          <SeverityMark severity="Stop" />{' '}
          {move.why
            .slice(0, 2)
            .map((r) => message(r, units))
            .join(' ')}
        </>
      )}
    </Box>
  )
}
