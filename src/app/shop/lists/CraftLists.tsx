'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { useFormContext, useWatch } from 'react-hook-form'
import { inUnits } from '@/core/advice'
import { CRAFT_ROOMS, type CraftStep, PROCEDURES, type Procedure } from '@/core/craft'
import type { OwnStep, ShopAndShelf } from '@/core/equipment'
import { keysOf } from '@/core/quantity'
import { Input, Label } from '@/ui/elements'
import { TextInput } from '@/ui/given'
import { Folded, Section, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'

const PLAIN = { name: '', good: '', off: false } as const
const isPlain = ({ name, good, off }: OwnStep) => name === '' && good === '' && !off

/** The lists of the craft as this shop goes through them: other words, steps left out, steps of its own. */
export function CraftLists() {
  const { setValue, getValues } = useFormContext<ShopAndShelf>()
  const own = useWatch<ShopAndShelf, 'shop.ownSteps'>({ name: 'shop.ownSteps' }) ?? []
  const change = (step: string, part: Partial<OwnStep>) => {
    const now = getValues('shop.ownSteps') ?? []
    const next = { ...(now.find((o) => o.step === step) ?? { step, ...PLAIN }), ...part }
    const others = now.filter((o) => o.step !== step)
    setValue('shop.ownSteps', isPlain(next) ? others : [...others, next], { shouldDirty: true })
  }
  return (
    <>
      {keysOf(CRAFT_ROOMS).map((room) => (
        <Section key={room} title={CRAFT_ROOMS[room]}>
          {Object.entries<Procedure>(PROCEDURES)
            .filter(([, list]) => list.room === room)
            .map(([id, list]) => (
              <OneList key={id} id={id} list={list} own={own} onChange={change} />
            ))}
        </Section>
      ))}
    </>
  )
}

function OneList({
  id,
  list,
  own,
  onChange,
}: {
  readonly id: string
  readonly list: Procedure
  readonly own: readonly OwnStep[]
  readonly onChange: (step: string, part: Partial<OwnStep>) => void
}) {
  const { units } = useSettings()
  const [name, setName] = useState('')
  const steps = Object.entries<CraftStep>(list.steps)
  const added = own.filter((o) => o.step.startsWith(`${id}.own`))
  const changed = own.filter((o) => o.step.startsWith(`${id}.`)).length
  const add = () => {
    if (name.trim() === '') return
    const last = Math.max(0, ...added.map((o) => Number(o.step.replace(/^.*own/, '')) || 0))
    onChange(`${id}.own${last + 1}`, { name: name.trim().slice(0, 60) })
    setName('')
  }
  return (
    <Folded
      title={list.title}
      says={`${steps.length} steps${changed > 0 ? `, ${changed} of this shop` : ''}`}
    >
      {steps.map(([step, usual]) => {
        const key = `${id}.${step}`
        const good = inUnits(usual.good, units)
        const said = own.find((o) => o.step === key)
        return (
          <Grid
            key={key}
            templateColumns={{ base: '1fr', md: '11rem 1fr 8rem' }}
            gap="3"
            py="2"
            borderTop="1px solid"
            borderColor="rule"
            alignItems="end"
          >
            <Box fontWeight="650" textDecoration={said?.off ? 'line-through' : undefined}>
              {usual.name}
            </Box>
            <TextInput
              label={`${usual.name}: what good looks like`}
              value={said?.good || good}
              onWrite={(text) => onChange(key, { good: text === good ? '' : text.slice(0, 200) })}
            />
            <Label display="flex" gap="2" alignItems="center" minHeight="2.1rem">
              <Input
                type="checkbox"
                accentColor="ink"
                checked={said?.off ?? false}
                onChange={(e) => onChange(key, { off: e.target.checked })}
              />
              leave out
            </Label>
          </Grid>
        )
      })}
      {added.map((o) => (
        <Flex key={o.step} gap="4" py="2" borderTop="1px solid" borderColor="rule" align="end" wrap="wrap">
          <Box width="11rem" fontWeight="650">
            {o.name}
          </Box>
          <Box flex="1">
            <TextInput
              label={`${o.name}: what good looks like`}
              value={o.good}
              onWrite={(good) => onChange(o.step, { good: good.slice(0, 200) })}
            />
          </Box>
          <TextButton onClick={() => onChange(o.step, PLAIN)}>take away</TextButton>
        </Flex>
      ))}
      <Flex gap="3" align="end" pt="2">
        <Box width="16rem">
          <TextInput label={`A step of your own, ${list.title}`} value={name} onWrite={setName} />
        </Box>
        <TextButton onClick={add}>Add it</TextButton>
      </Flex>
    </Folded>
  )
}
