'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { type KeyboardEvent, useState } from 'react'
import { q } from '@/core/advice'
import type { BaseInk } from '@/core/equipment'
import { type BenchPart, band, type Can, INK } from '@/core/ink'
import { drops } from '@/devices/simulatedScale'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { Gauge } from './Gauge'
import type { OnScale } from './useScale'

const Hold = chakra(PushButton)

interface Props {
  readonly part: BenchPart
  readonly ink: BaseInk
  readonly can: Can
  readonly batchName: string
  readonly on: OnScale
  /** What the scale told when this part began; 0 on a scale that tares. */
  readonly from: number
  readonly onTake: (mass: number) => void
  readonly onOtherCan: () => void
}

/** A part takes about this long to pour, s. */
const TAKES = 5

/** One part on its way into the tub: what is wanted and what the scale says, large, and the band in which it is right. */
export function Pouring({ part, ink, can, batchName, on, from, onTake, onOtherCan }: Props) {
  const { reading, last, hand, scale } = on
  const [pressed, setPressed] = useState(false)
  const poured = Math.max(0, last - from)
  const limits = band(part.wanted).map((m) => m - part.have) as [number, number]
  const gone = reading?.kind === 'gone'
  const steady = reading?.kind === 'weight' && reading.steady
  const right = poured >= limits[0] && poured <= limits[1]
  const over = poured > limits[1]
  const take = () => {
    if (poured > 5e-5 && (steady || gone)) onTake(poured)
  }
  const holding = (rate: number) => ({
    onPointerDown: () => hand.tip(rate),
    onPointerUp: () => hand.stop(),
    onPointerLeave: () => hand.stop(),
    onBlur: () => hand.stop(),
    onKeyDown: (e: KeyboardEvent) => {
      if (e.key === ' ') {
        e.preventDefault()
        if (!e.repeat) hand.tip(rate)
      } else if (e.key === 'Enter') {
        e.preventDefault()
        take()
      }
    },
    onKeyUp: (e: KeyboardEvent) => {
      if (e.key === ' ') hand.stop()
    },
  })
  const width = limits[1] - limits[0]
  return (
    <Box>
      <Flex align="baseline" gap="3" wrap="wrap">
        <Box fontSize="big" fontWeight="750" lineHeight="1.1">
          {ink.name}{' '}
          <Box as="span" fontWeight="450">
            {ink.code}
          </Box>
        </Box>
        <Box color="soft">
          from {can.id}, lot {can.lot}
        </Box>
        <TextButton onClick={onOtherCan}>another can</TextButton>
      </Flex>
      <Flex gap="8" align="end" my="2" wrap="wrap">
        <Box>
          <Box color="soft">pour</Box>
          <Box fontSize={{ base: 'big', lg: 'huge' }} fontWeight="650" lineHeight="1" data-wanted={part.left}>
            <AskNumber
              label={`${ink.name}, wanted`}
              reasons={[
                INK.because('PART', {
                  part: ink.name,
                  batch: batchName,
                  share: q('share', part.share),
                }),
                INK.because('BAND', {
                  low: q('dose', Math.max(0, limits[0])),
                  high: q('dose', limits[1]),
                  share: q('share', 0.02),
                }),
              ]}
            >
              <Measure kind="dose" value={part.left} />
            </AskNumber>
          </Box>
        </Box>
        <Box>
          <Box color="soft">{from === 0 ? 'on the scale' : 'of it in the tub'}</Box>
          <Box
            fontSize={{ base: 'huge', lg: 'vast' }}
            fontWeight="750"
            lineHeight="0.95"
            role="status"
            aria-label="Poured"
            aria-live="off"
            data-poured={poured}
            data-steady={steady}
          >
            <Measure kind="dose" value={poured} />
          </Box>
        </Box>
        {from > 0 && (
          <Box>
            <Box color="soft">the scale shows, of</Box>
            <Box fontSize="big" fontWeight="600" lineHeight="1.1">
              <Measure kind="dose" value={last} /> / <Measure kind="dose" value={from + part.left} />
            </Box>
          </Box>
        )}
      </Flex>
      <Gauge value={poured} wanted={part.left} band={limits} />
      <Box fontSize="lead" minHeight="2rem" mt="1" role="status" aria-label="Verdict">
        {gone ? (
          <>
            <SeverityMark severity="Stop" /> The scale does not answer. The last weight it told is kept; plug
            it in, or take that.
          </>
        ) : reading?.kind === 'overload' ? (
          <>
            <SeverityMark severity="Stop" /> More than the scale carries: take something off.
          </>
        ) : over ? (
          <>
            <SeverityMark severity="Watch" /> Too much by <Measure kind="dose" value={poured - part.left} />.
          </>
        ) : right ? (
          <b>{steady ? 'Right: Enter takes it.' : 'Right: wait until it is steady.'}</b>
        ) : (
          <>
            still <Measure kind="dose" value={part.left - poured} />
          </>
        )}
      </Box>
      <Flex gap="3" mt="2" wrap="wrap">
        <Hold type="button" autoFocus minHeight="4rem" fontSize="lead" {...holding(part.left / TAKES)}>
          Tip the can
          <Box fontSize="small" fontWeight="400">
            hold Space
          </Box>
        </Hold>
        <Hold type="button" minHeight="4rem" fontSize="lead" {...holding(drops(part.left - poured, width))}>
          Drops
          <Box fontSize="small" fontWeight="400">
            hold Space
          </Box>
        </Hold>
        <PushButton
          type="button"
          minHeight="4rem"
          fontSize="lead"
          disabled={poured <= 5e-5 || !(steady || gone)}
          onClick={take}
        >
          {right || over ? 'Take this' : 'Take what is in'}
          <Box fontSize="small" fontWeight="400">
            Enter
          </Box>
        </PushButton>
        <Box ml="auto" alignSelf="end" fontSize="small" color="soft" textAlign="right">
          {scale.name}
          <br />
          <TextButton
            onClick={() => {
              if (pressed) hand.plug()
              else hand.unplug()
              setPressed(!pressed)
            }}
          >
            {pressed ? 'plug it in' : 'pull its plug'}
          </TextButton>
        </Box>
      </Flex>
    </Box>
  )
}
