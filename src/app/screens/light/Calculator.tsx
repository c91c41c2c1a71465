'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { numberOf } from '@/core/advice'
import { MEDIA, type Medium } from '@/core/equipment'
import { keysOf } from '@/core/quantity'
import { type Confidence, exposureFor } from '@/core/screen'
import { AskNumber } from '@/ui/AskNumber'
import { Pick, QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { Section } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useShop } from '../../shop/shopContext'
import { Countdown } from '../Countdown'
import { useCan } from './useCan'

const SURE: Readonly<Record<Confidence, string>> = {
  tested: 'as tested',
  near: 'near a test',
  far: 'far from the nearest test',
  none: 'never tested: a guess',
}

/** Exposure of any screen under any lamp of the shop, and the light switched by it. */
export function Calculator() {
  const { screens } = useShop().shop
  const [lampId, setLamp] = useState(screens.lamps[0]?.id ?? '')
  const [emulsionId, setEmulsion] = useState(screens.emulsions[0]?.id ?? '')
  const can = useCan()
  const [mesh, setMesh] = useState(7700)
  const [coats, setCoats] = useState(2)
  const [medium, setMedium] = useState<Medium>(screens.medium ?? 'film')
  const lamp = screens.lamps.find((l) => l.id === lampId)
  const [distance, setDistance] = useState<number>()
  const room = {
    ...screens,
    lamps: lamp ? [{ ...lamp, distance: distance ?? lamp.distance }] : [],
  }
  const emulsion = screens.emulsions.find((e) => e.id === emulsionId)
  const need = {
    hitId: 'any',
    name: 'this screen',
    mesh,
    coats: Math.max(1, Math.round(coats)),
    fine: false,
    medium,
  }
  const found = exposureFor(need, room, emulsion, {})
  const stop = found?.time.reasons.find((r) => r.severity === 'Stop')
  return (
    <Section title="How long to expose">
      <Grid templateColumns="1fr 1fr" gap="3" mb="4">
        <Pick label="Lamp" value={lampId} options={screens.lamps} onPick={setLamp} />
        <Pick label="Emulsion" value={emulsionId} options={screens.emulsions} onPick={setEmulsion} />
        <QuantityInput label="Mesh" kind="meshCount" value={mesh} onGive={setMesh} check={can('mesh')} />
        <QuantityInput label="Coats" kind="count" value={coats} onGive={setCoats} check={can('coats')} />
        <Pick
          label="Film on"
          value={medium}
          options={keysOf(MEDIA).map((id) => ({ id, name: MEDIA[id] }))}
          onPick={(id) => setMedium(id as Medium)}
        />
        <QuantityInput
          label="Lamp to the glass"
          kind="length"
          value={room.lamps[0]?.distance ?? 0}
          onGive={setDistance}
        />
      </Grid>
      {!found && <Box>Nothing to expose: no lamp, no emulsion, or a stencil made by heat.</Box>}
      {found && (
        <>
          <Flex align="baseline" gap="4" wrap="wrap">
            <AskNumber label="Exposure" reasons={found.time.reasons}>
              <Box as="span" fontSize="huge" fontWeight="700" lineHeight="1.1">
                <Measure kind="duration" value={numberOf(found.time)} />
              </Box>
            </AskNumber>
            <Box>
              <Measure kind="duration" value={found.time.range[0]} /> to{' '}
              <Measure kind="duration" value={found.time.range[1]} />
              <Box color="soft">{SURE[found.confidence]}</Box>
            </Box>
          </Flex>
          {stop ? (
            <Box mt="2">
              <SeverityMark severity="Stop" /> {lamp?.name} bakes {emulsion?.name}: take a dual cure emulsion.
            </Box>
          ) : (
            <Box mt="3">
              <Countdown seconds={numberOf(found.time)} what={`Exposure, ${emulsion?.name}`} />
            </Box>
          )}
        </>
      )}
    </Section>
  )
}
