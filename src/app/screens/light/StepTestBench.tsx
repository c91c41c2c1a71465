'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { useFormContext } from 'react-hook-form'
import type { ShopAndShelf, StepTest } from '@/core/equipment'
import { type Found, readScale, readStrips, strips, TARGET_STEP } from '@/core/screen'
import { localNow } from '@/ui/clock'
import { Button } from '@/ui/elements'
import { Pick, QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { Section, Table } from '@/ui/Section'
import { unlocked } from '../../edits/unlocked'
import { nextId } from '../../shop/Rows'
import { useShop } from '../../shop/shopContext'
import { useCan } from './useCan'

const READ_BY = [
  { id: 'strips', name: 'Strips: the first that holds' },
  { id: 'scale', name: '21-step scale: the last solid step' },
] as const

interface StripButtonProps {
  readonly at: number
  readonly picked: number | undefined
  readonly says: string
  /** Pressed again, nothing is picked. */
  readonly onPick: (at: number | undefined) => void
}

function StripButton({ at, picked, says, onPick }: StripButtonProps) {
  return (
    <Button
      type="button"
      aria-pressed={picked === at}
      aria-label={`Strip ${at + 1} ${says}`}
      onClick={() => onPick(picked === at ? undefined : at)}
      border="1.5px solid"
      borderColor="ink"
      bg={picked === at ? 'ink' : 'transparent'}
      color={picked === at ? 'work' : 'ink'}
      px="3"
      py="1"
      cursor="pointer"
    >
      {at + 1}
    </Button>
  )
}

/** Lays out a step test, reads it, and keeps what it found. */
export function StepTestBench() {
  const { screens } = useShop().shop
  const { getValues, setValue } = useFormContext<ShopAndShelf>()
  const [lampId, setLamp] = useState(screens.lamps[0]?.id ?? '')
  const [emulsionId, setEmulsion] = useState(screens.emulsions[0]?.id ?? '')
  const can = useCan()
  const [mesh, setMesh] = useState(7700)
  const [coats, setCoats] = useState(2)
  const [about, setAbout] = useState(24)
  const [by, setBy] = useState<string>('strips')
  const [held, setHeld] = useState<number>()
  const [open, setOpen] = useState<number>()
  const [step, setStep] = useState(TARGET_STEP)
  const [kept, setKept] = useState('')
  const lamp = screens.lamps.find((l) => l.id === lampId)
  const laid = strips(Math.max(1, about), 7)
  const byStrips = held === undefined ? undefined : readStrips(laid, held, open)
  const found: Found | undefined = by === 'scale' ? readScale(Math.max(1, about), step) : byStrips
  const keep = () => {
    if (!found || !lamp) return
    const before = getValues('shop.screens.tests')
    const test: StepTest = {
      id: nextId(before, 'T'),
      on: localNow().slice(0, 10),
      lampId,
      emulsionId,
      mesh,
      coats: Math.max(1, Math.round(coats)),
      distance: lamp.distance,
      ...(screens.medium && { medium: screens.medium }),
      ...found,
    }
    setValue('shop.screens.tests', unlocked([...before, test]))
    setKept('Kept: exposures follow it from now on.')
    setHeld(undefined)
    setOpen(undefined)
  }
  return (
    <Section title="Step test">
      <Grid templateColumns="1fr 1fr" gap="3" mb="3">
        <Pick label="Lamp of the test" value={lampId} options={screens.lamps} onPick={setLamp} />
        <Pick
          label="Emulsion of the test"
          value={emulsionId}
          options={screens.emulsions}
          onPick={setEmulsion}
        />
        <QuantityInput
          label="Mesh of the test"
          kind="meshCount"
          value={mesh}
          onGive={setMesh}
          check={can('mesh')}
        />
        <QuantityInput
          label="Coats of the test"
          kind="count"
          value={coats}
          onGive={setCoats}
          check={can('coats')}
        />
        <Pick label="Read by" value={by} options={READ_BY} onPick={setBy} />
        <QuantityInput
          label={by === 'scale' ? 'Exposed for' : 'Middle strip about'}
          kind="duration"
          value={about}
          onGive={setAbout}
        />
      </Grid>
      {by === 'scale' ? (
        <Box mb="3" width="12rem">
          <QuantityInput label="Last solid step" kind="count" value={step} onGive={setStep} />
        </Box>
      ) : (
        <Table css={{ '& td': { paddingBlock: '1px', verticalAlign: 'middle' } }}>
          <thead>
            <tr>
              <th>Strip</th>
              <th className="num">Then give</th>
              <th className="num">In all</th>
              <th>First that holds</th>
              <th>Last with open detail</th>
            </tr>
          </thead>
          <tbody>
            {laid.map((s, i) => (
              <tr key={s.total}>
                <td>{i === 0 ? 'All open' : `Cover ${i}`}</td>
                <td className="num">
                  <Measure kind="duration" value={s.add} />
                </td>
                <td className="num">
                  <Box as="span" fontWeight="650">
                    <Measure kind="duration" value={s.total} />
                  </Box>
                </td>
                <td>
                  <StripButton at={i} picked={held} says="is the first that holds" onPick={setHeld} />
                </td>
                <td>
                  <StripButton at={i} picked={open} says="is the last with open detail" onPick={setOpen} />
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      <Flex align="baseline" gap="5" mt="3" minHeight="4rem">
        {found ? (
          <>
            <Box fontSize="big" fontWeight="700" lineHeight="1.1">
              <Measure kind="duration" value={found.time} />
            </Box>
            <Box color="soft">
              true between <Measure kind="duration" value={found.low} /> and{' '}
              <Measure kind="duration" value={found.high} />
            </Box>
            <PushButton type="button" onClick={keep} disabled={!lamp}>
              Keep this test
            </PushButton>
          </>
        ) : (
          <Box color="soft">
            {held === undefined || open === undefined || open >= held
              ? 'Expose strip by strip, wash out, then say which is the first that holds; fine detail narrows it, if the film has some.'
              : 'Detail closes before the stencil holds: the film lets light through, or does not touch the glass. No time is right for both.'}
          </Box>
        )}
        <Box role="status">{kept}</Box>
      </Flex>
    </Section>
  )
}
