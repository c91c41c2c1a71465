'use client'

import { Box, Grid } from '@chakra-ui/react'
import { useFormContext } from 'react-hook-form'
import type { ShopAndShelf } from '@/core/equipment'
import { Cautions } from '@/ui/Cautions'
import { Day } from '@/ui/day'
import { Measure } from '@/ui/Measure'
import { Section, Table, TextButton } from '@/ui/Section'
import { unlocked } from '../../edits/unlocked'
import { useShop } from '../../shop/shopContext'
import { Calculator } from './Calculator'
import { StepTestBench } from './StepTestBench'

/** How long to expose, and the step tests it rests on. */
export function Light() {
  return (
    <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }} gap="8">
      <Box>
        <Calculator />
        <Tests />
        <Cautions at="exposure" />
      </Box>
      <StepTestBench />
    </Grid>
  )
}

/** The step tests that were kept. */
function Tests() {
  const { shop } = useShop()
  const { getValues, setValue } = useFormContext<ShopAndShelf>()
  const { tests, lamps, emulsions } = shop.screens
  const name = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((x) => x.id === id)?.name ?? 'gone'
  const remove = (id: string) =>
    setValue('shop.screens.tests', unlocked(getValues('shop.screens.tests').filter((t) => t.id !== id)))
  return (
    <Section title={tests.length === 1 ? '1 step test kept' : `${tests.length} step tests kept`}>
      {tests.length === 0 ? (
        <Box color="soft">None yet. Until there is one, exposures are only where a first test may start.</Box>
      ) : (
        <Table>
          <thead>
            <tr>
              <th>Day</th>
              <th>Lamp, emulsion</th>
              <th className="num">Mesh</th>
              <th className="num">Coats</th>
              <th className="num">Holds at</th>
              <th>
                <Box srOnly>Remove</Box>
              </th>
            </tr>
          </thead>
          <tbody>
            {tests.map((t) => (
              <tr key={t.id}>
                <td>
                  <Day at={t.on} />
                </td>
                <td>
                  {name(lamps, t.lampId)}, {name(emulsions, t.emulsionId)}
                </td>
                <td className="num">
                  <Measure kind="meshCount" value={t.mesh} />
                </td>
                <td className="num">{t.coats}</td>
                <td className="num">
                  <Box as="span" fontWeight="650">
                    <Measure kind="duration" value={t.time} />
                  </Box>
                </td>
                <td>
                  <TextButton aria-label={`Remove the test of ${t.on}`} onClick={() => remove(t.id)}>
                    Remove
                  </TextButton>
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </Section>
  )
}
