'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import type { DaysKept, DaysNow, Happened, MovePrice, Proposal } from '@/core/days'
import { keysOf } from '@/core/quantity'
import { PushButton } from '@/ui/PushButton'
import { TextButton } from '@/ui/Section'
import { Progress, Says, WayRow } from './OfferParts'
import { SomethingHappened } from './Otherwise'
import { RescueWays } from './RescueWays'
import { clockWords, differenceWords, type Names } from './said'
import type { Offer, Option } from './useDays'

interface Props {
  readonly offer: Offer
  readonly now: DaysNow
  readonly names: Names
  readonly onTake: (kept: DaysKept) => void
  readonly onPause: (is: boolean) => void
  readonly onSearch: (price: MovePrice) => void
  readonly onHappened: (what: Happened) => void
  readonly onLeave: () => void
}

/** What is offered, with what it comes to before it is taken. */
export function Offers({ offer, now, names, onTake, onPause, onSearch, onHappened, onLeave }: Props) {
  const at = now.asked.now
  const box = useRef<HTMLDivElement>(null)
  // On a narrow screen it opens below what is seen.
  // biome-ignore lint/correctness/useExhaustiveDependencies: each kind of offer is shown anew
  useEffect(() => {
    // What it gives back is no way to end an effect.
    void box.current?.scrollIntoView({ block: 'nearest' })
  }, [offer.kind])
  return (
    <Box
      ref={box}
      role="status"
      aria-label="What it comes to"
      bg="raised"
      px="3"
      py="2"
      mb="3"
      border="2px solid"
      borderColor="ink"
    >
      {offer.kind === 'put' && (
        <>
          <Says
            title={`On ${names.press(offer.where.pressId)} from ${clockWords(offer.where.at, at)}`}
            lines={differenceWords(offer.proposal.difference, at, names)}
          />
          <Flex gap="4" mt="1.5">
            <PushButton type="button" onClick={() => onTake(offer.proposal.kept)}>
              Put it there (Enter)
            </PushButton>
            <TextButton onClick={onLeave} px="0" mt="1">
              Leave it (Esc)
            </TextButton>
          </Flex>
        </>
      )}
      {offer.kind === 'plan' && (
        <>
          <Progress share={offer.share} says={offer.share < 1 ? 'Searching for better days' : 'Searched'} />
          {offer.proposal && (
            <Says
              title=""
              lines={
                isBetter(offer.proposal)
                  ? differenceWords(offer.proposal.difference, at, names)
                  : [
                      offer.share < 1
                        ? 'Nothing better yet.'
                        : offer.proposal.isProven
                          ? 'All orders on all presses were tried, none is better: these days can stay.'
                          : 'Nothing better was found: these days can stay.',
                    ]
              }
            />
          )}
          <Flex gap="4" mt="1.5">
            {offer.proposal && isBetter(offer.proposal) && (
              <PushButton
                type="button"
                onClick={() => {
                  onLeave()
                  if (offer.proposal) onTake(offer.proposal.kept)
                }}
              >
                {offer.share < 1 ? 'Take what is there' : 'Take these days'}
              </PushButton>
            )}
            {offer.share < 1 && (
              <TextButton onClick={() => onPause(!offer.isPaused)}>
                {offer.isPaused ? 'Go on' : 'Pause'}
              </TextButton>
            )}
            {offer.share === 1 &&
              keysOf(OTHERWISE)
                .filter((price) => price !== offer.price)
                .map((price) => (
                  <TextButton key={price} onClick={() => onSearch(price)}>
                    {OTHERWISE[price]}
                  </TextButton>
                ))}
            <TextButton onClick={onLeave} px="0" mt="1">
              Leave them as they are
            </TextButton>
          </Flex>
        </>
      )}
      {offer.kind === 'happened' && (
        <SomethingHappened first={offer.first} {...{ now, onHappened, onLeave }} />
      )}
      {offer.kind === 'rescue' && <RescueWays {...{ offer, names, onTake, onLeave }} now={now} />}
      {offer.kind === 'replan' && (
        <>
          {offer.share < 1 && <Progress share={offer.share} says="Working out what can be done" />}
          {distinct(offer.options).map((o) => (
            <WayRow
              key={o.price}
              title={PRICES[o.price]}
              lines={differenceWords(o.proposal.difference, at, names)}
              onTake={() => onTake(o.proposal.kept)}
            />
          ))}
          <TextButton onClick={onLeave} px="0" mt="1">
            Leave it: it did not happen
          </TextButton>
        </>
      )}
    </Box>
  )
}

const PRICES: Readonly<Record<Option['price'], string>> = {
  none: 'Only later, nothing moves',
  few: 'As few moves as do any good',
  usual: 'Some moves',
  free: 'Whatever is best, moves cost nothing',
}

/** The same search with moves that cost more or less. */
const OTHERWISE: Readonly<Record<MovePrice, string>> = {
  few: 'With fewer moves',
  usual: 'With some moves',
  free: 'Whatever moves',
}

/** A search never makes worse; whether it found anything that people would notice. */
const isBetter = ({ difference: { later, sooner, moved } }: Proposal) =>
  later.length + sooner.length + moved.length > 0

/** Options that come to the same are one: the one with the fewest moves. */
const distinct = (options: readonly Option[]): readonly Option[] =>
  options.filter(
    (o, i) =>
      !options
        .slice(0, i)
        .some(
          (p) =>
            p.proposal.lanes.late <= o.proposal.lanes.late &&
            p.proposal.difference.moved.length <= o.proposal.difference.moved.length,
        ),
  )
