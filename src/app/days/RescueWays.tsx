import { Box } from '@chakra-ui/react'
import type { DaysKept, DaysNow, Rescue } from '@/core/days'
import { Link } from '@/ui/elements'
import { TextButton } from '@/ui/Section'
import { Progress, WayRow } from './OfferParts'
import { clockWords, differenceWords, lateWords, type Names } from './said'
import type { Offer } from './useDays'

interface Props {
  readonly offer: Extract<Offer, { readonly kind: 'rescue' }>
  readonly now: DaysNow
  readonly names: Names
  readonly onTake: (kept: DaysKept) => void
  readonly onLeave: () => void
}

/** Ways to have a late order earlier, the best first, each with what it does to the others. */
export function RescueWays({
  offer: { orderId, share, ways },
  now: { lanes },
  names,
  onTake,
  onLeave,
}: Props) {
  const { now } = lanes
  const job = lanes.runs.find((r) => r.facts.orderId === orderId)?.facts.words ?? orderId
  const says = ({ kind, pressId, done, late }: Rescue) => {
    const ends = late === 0 ? 'in time' : lateWords(late ?? 0)
    return `${WAYS[kind](names.press(pressId ?? ''))}: ${ends}, done ${clockWords(done ?? now, now)}`
  }
  return (
    <>
      <Box fontWeight="650">Ways to have {job} earlier</Box>
      {share < 1 && <Progress share={share} says="Working out what can be done" />}
      {share === 1 && ways.length === 0 && (
        <Box>
          Nothing here has it earlier: neither another press, nor overtime, nor a loader, nor splitting it.
        </Box>
      )}
      {ways.map((way) => (
        <WayRow
          key={`${way.kind} ${way.pressId}`}
          title={says(way)}
          lines={differenceWords(way.proposal.difference, now, names)}
          onTake={() => onTake(way.proposal.kept)}
          instead={
            way.canBeTaken ? undefined : (
              <Link href={`/orders/${orderId}`} textDecoration="underline" fontWeight="550">
                Split it at the order
              </Link>
            )
          }
        />
      ))}
      <TextButton onClick={onLeave} px="0" mt="1">
        Leave it as it is
      </TextButton>
    </>
  )
}

const WAYS: Readonly<Record<Rescue['kind'], (press: string) => string>> = {
  'as it is': () => 'Before the others, on the presses as they are',
  press: (press) => `On ${press}`,
  overtime: () => 'With overtime',
  loader: () => 'With one more to load and unload',
  split: () => 'Half of it on another press, on a second set of screens',
}
