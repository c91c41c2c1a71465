'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { useFieldArray, useFormContext } from 'react-hook-form'
import { message, q } from '@/core/advice'
import { groupLabel, isOffPress, type Order, WHERES, WHITE_LOOKS } from '@/core/order'
import { PLAN } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { Cautions } from '@/ui/Cautions'
import { Link } from '@/ui/elements'
import { CheckField, SelectField, TextField } from '@/ui/fields'
import { Section, TextButton } from '@/ui/Section'
import { InkRow } from '@/ui/Swatch'
import { useSettings } from '@/ui/settings'
import { useHydrated } from '@/ui/useHydrated'
import { Notes } from '../../../notes/Notes'
import { DeleteOrder } from '../DeleteOrder'
import { useOrder } from '../orderContext'
import { Reorder } from '../Reorder'
import { GarmentLine } from './GarmentLine'
import { HowFar } from './HowFar'
import { highest } from './highest'
import { OfCustomer } from './OfCustomer'
import { PromiseOf } from './PromiseOf'

/** Stage 1: what the customer wants, and the runs it makes. */
export function OrderStage() {
  const { order, shelf, customer, state } = useOrder()
  const { control, getValues, setFocus } = useFormContext<Order>()
  const hydrated = useHydrated()
  useEffect(() => {
    const typing = document.activeElement?.closest('input, select, textarea')
    if (hydrated && getValues('customer') === '' && !typing) setFocus('customer')
  }, [hydrated, getValues, setFocus])
  const lines = useFieldArray({ control, name: 'lines', keyName: 'key' })
  const cloth = shelf.cloths[0]
  const [counting, setCounting] = useState(() =>
    getValues('lines').some((l) => l.sizes.some((s) => s.received !== undefined)),
  )
  const add = () => {
    const number = highest(lines.fields) + 1
    const last = lines.fields.at(-1)
    const from = last?.cloth ?? cloth
    if (!from) return
    lines.append({
      id: `G${number}`,
      style: last?.style ?? 'Classic tee',
      cloth: from,
      sizes: (last?.sizes ?? [{ size: 'M' }]).map((s) => ({ size: s.size, quantity: 0 })),
      group: '',
    })
  }
  return (
    <>
      <HowFar />
      {!isOffPress(state) && <PromiseOf />}
      <Grid templateColumns={{ base: '1fr 1fr', md: '1fr 1fr 10rem 10rem' }} gap="4" mb="3">
        <TextField name="customer" label="Customer" meant={customer.names} />
        <TextField name="title" label="Job" />
        <TextField name="due" label="Due" type="date" />
        <TextField name="garmentsOn" label="Garments expected" type="date" />
      </Grid>
      <Grid templateColumns={{ base: '1fr', md: '1fr 20rem' }} gap="4" mb="6" alignItems="start">
        <TextField name="notes" label="Notes" rows={2} />
        <Box>
          <SelectField name="whiteLook" label="White is to look" options={WHITE_LOOKS} />
          <CheckField name="pvcFree" label="No PVC wanted on it" />
        </Box>
      </Grid>
      <OfCustomer />
      <Section
        title="Garments"
        side={
          <Flex gap="5">
            <TextButton aria-expanded={counting} onClick={() => setCounting(!counting)}>
              Count in
            </TextButton>
            <TextButton onClick={add}>Add garments</TextButton>
          </Flex>
        }
      >
        {lines.fields.map((line, i) => (
          <GarmentLine
            key={line.key}
            at={i}
            counting={counting}
            onRemove={() => lines.remove(i)}
            only={lines.fields.length === 1}
          />
        ))}
      </Section>
      <Runs />
      <Section title="Notes and pictures">
        <Notes about="order" of={order.id} name={order.id} />
      </Section>
      <Cautions at="order" />
      <Flex gap="6" align="baseline">
        <Link href={`/quotes/${order.id}`} prefetch={false} fontWeight="650" textDecoration="underline">
          Quote and proof
        </Link>
        <Reorder id={order.id} as="duplicate" />
        <DeleteOrder />
      </Flex>
    </>
  )
}

/** The set-ups this order makes, each with its reason. */
function Runs() {
  const { runs } = useOrder()
  const { units } = useSettings()
  return (
    <Section title={runs.length === 1 ? 'One run' : `${runs.length} runs`}>
      {runs.length === 0 && <Box color="soft">Enter quantities: each cloth group and print is one run.</Box>}
      {runs.map((r) => (
        <Flex key={r.id} gap="4" py="2" borderBottom="1px solid" borderColor="rule" align="baseline">
          <Box width="3.4rem" flex="none" textAlign="right" fontSize="title" fontWeight="650">
            <AskNumber
              label={`Pieces of ${r.id}`}
              reasons={[PLAN.because('PIECES', { pieces: q('count', r.quantity) }), ...r.reasons]}
            >
              {r.quantity}
            </AskNumber>
          </Box>
          <InkRow cloth={r.lines[0]?.cloth} inks={r.placement.inks} />
          <Box>
            <Box fontWeight="650">
              {WHERES[r.placement.where]} on {groupLabel(r.group).toLowerCase()}
            </Box>
            <Box color="soft" fontSize="small">
              {r.reasons
                .filter((x) => x.rule !== 'PLACEMENT_RUN')
                .map((x) => message(x, units))
                .join(' ')}
            </Box>
          </Box>
        </Flex>
      ))}
    </Section>
  )
}
