'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useCallback, useMemo, useState } from 'react'
import { message } from '@/core/advice'
import { offSheet, type Put } from '@/core/days'
import type { Press } from '@/core/equipment'
import { keysOf } from '@/core/quantity'
import { Button, Link } from '@/ui/elements'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { Besides } from './Besides'
import { Lanes } from './Lanes'
import { LateOrders } from './LateOrders'
import { Offers } from './Offers'
import { StillOtherwise } from './Otherwise'
import { RunList } from './RunList'
import { lanesWords, type Names, sheetWords } from './said'
import { VIEWS, type View, windowsOf } from './scale'
import { useDays } from './useDays'

/**
 * The shop's days: every press as a lane of time, with what is offered, and what has no place.
 *
 * @param stamp changes whenever anything was saved
 */
export function DaysBoard({ stamp }: { readonly stamp: string }) {
  const { units } = useSettings()
  const desk = useDays(stamp)
  const { ahead, now, offer, keep, tryPut, takePut, leave, replan, askHappened, afterAll } = desk
  const [view, setView] = useState<View>('day')
  const [skipped, setSkipped] = useState(0)
  const lanes = now?.lanes
  const hours = ahead?.asked.shop.hours
  const windows = useMemo(
    () => (lanes && hours ? windowsOf(lanes, hours, view, skipped) : []),
    [lanes, hours, view, skipped],
  )
  const held: Put | undefined = offer?.kind === 'put' ? offer.where : undefined
  const take = useCallback(() => void takePut(), [takePut])
  const standing = useMemo(
    () =>
      new Map((ahead?.kept.down ?? []).filter((d) => d.to > (lanes?.now ?? 0)).map((d) => [d.pressId, d.to])),
    [ahead, lanes],
  )
  const stands = useCallback(
    (press: Press) => {
      if (!lanes) return
      if (standing.has(press.id)) void afterAll({ kind: 'down', pressId: press.id })
      else askHappened('down', press.id)
    },
    [lanes, standing, askHappened, afterAll],
  )
  if (desk.wrong && !lanes)
    return (
      <Box mb="4">
        <SeverityMark severity="Stop" /> {desk.wrong}
      </Box>
    )
  if (!lanes || !ahead)
    return (
      <Box mb="4" minHeight="17rem" color="soft">
        Planning the days …
      </Box>
    )
  const { presses } = ahead.asked.shop
  const off = offSheet(lanes)
  const names: Names = {
    press: (id) => presses.find((p) => p.id === id)?.name ?? id,
    who: (id) => ahead.asked.shop.people?.find((p) => p.id === id)?.name ?? id,
  }
  return (
    <Box as="section" aria-label="The days" mb="5">
      <Flex gap="4" align="baseline" mb="1.5" wrap="wrap">
        <Box fontWeight="650">{lanesWords(lanes)}</Box>
        <Flex gap="1" role="group" aria-label="How much of it" display={{ base: 'none', md: 'flex' }}>
          {keysOf(VIEWS).map((v) => (
            <Button
              key={v}
              type="button"
              aria-pressed={view === v}
              onClick={() => {
                setView(v)
                setSkipped(0)
              }}
              px="2"
              bg={view === v ? 'ink' : 'transparent'}
              color={view === v ? 'work' : 'ink'}
            >
              {VIEWS[v]}
            </Button>
          ))}
          <TextButton onClick={() => setSkipped((n) => Math.max(0, n - 1))} aria-label={`The ${view} before`}>
            ←
          </TextButton>
          <TextButton onClick={() => setSkipped((n) => n + 1)} aria-label={`The next ${view}`}>
            →
          </TextButton>
        </Flex>
        <Flex gap="4" ml="auto" align="baseline">
          <Link href="/days/list" textDecoration="underline" textUnderlineOffset="3px" fontWeight="550">
            List of the day
          </Link>
          {desk.undo && <TextButton onClick={desk.undo}>Undo</TextButton>}
          {!offer && <TextButton onClick={() => askHappened('longer')}>Something has happened</TextButton>}
          {!offer && (
            <TextButton onClick={() => void desk.search('usual')}>Search for better days</TextButton>
          )}
        </Flex>
      </Flex>
      {desk.wrong && (
        <Box mb="2">
          <SeverityMark severity="Watch" /> {desk.wrong}
        </Box>
      )}
      <Box display={{ base: 'none', md: 'block' }}>
        <Lanes
          {...{ lanes, presses, windows, held, standing }}
          onTry={tryPut}
          onTake={take}
          onLeave={leave}
          onStands={stands}
        >
          <Besides
            lanes={lanes}
            dryers={ahead.asked.shop.dryers}
            inkShort={ahead.asked.inkShort ?? {}}
            windows={windows}
          />
        </Lanes>
      </Box>
      <Box display={{ base: 'block', md: 'none' }}>
        <RunList lanes={lanes} presses={presses} />
      </Box>
      {offer && (
        <Offers
          offer={offer}
          now={now}
          names={names}
          onTake={(kept) => void keep(kept)}
          onPause={desk.pause}
          onSearch={(price) => void desk.search(price)}
          onHappened={(what) => void replan(what)}
          onLeave={leave}
        />
      )}
      {!offer && <StillOtherwise now={now} names={names} onOver={(what) => void afterAll(what)} />}
      {!offer && <LateOrders lanes={lanes} onRescue={(id) => void desk.rescue(id)} />}
      {!offer && off.length > 0 && (
        <Flex gap="2" align="baseline" mt="1.5" wrap="wrap">
          <SeverityMark severity="Watch" />
          <Box>
            {off.length === 1 ? 'One run is' : `${off.length} runs are`} on another press than the sheet is
            planned for.
          </Box>
          <TextButton onClick={() => void keep(now.kept)}>Take these days</TextButton>
          <Box color="soft">{sheetWords(off, names)}.</Box>
        </Flex>
      )}
      {lanes.out.map(({ facts, why }) => (
        <Flex key={facts.runId} gap="2" align="baseline" mt="1.5">
          <SeverityMark severity="Stop" />
          <Box>
            <b>{facts.words}</b> has no place: {message(why, units)}
          </Box>
        </Flex>
      ))}
    </Box>
  )
}
