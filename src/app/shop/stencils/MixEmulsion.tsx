import { Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import type { ShopAndShelf } from '@/core/equipment'
import { isTwoPart, sensitiserFor } from '@/core/screen'
import { AskNumber } from '@/ui/AskNumber'
import { QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { Section } from '@/ui/Section'

/** Sensitiser to weigh into a two-part emulsion; nothing where the shop has none. */
export function MixEmulsion() {
  const emulsions = useWatch<ShopAndShelf, 'shop.screens.emulsions'>({ name: 'shop.screens.emulsions' })
  const [base, setBase] = useState(0.9)
  if (!emulsions.some(isTwoPart)) return null
  const { mass, reasons } = sensitiserFor(base)
  return (
    <Section title="Mix emulsion">
      <Flex gap="8" align="end" wrap="wrap">
        <QuantityInput label="Emulsion in the tub" kind="mass" value={base} onGive={setBase} />
        <Headline label="Sensitiser to weigh in">
          <AskNumber label="Sensitiser" reasons={reasons}>
            <Measure kind="mass" value={mass} />
          </AskNumber>
        </Headline>
        <Headline label="Together">
          <AskNumber label="Emulsion mixed" reasons={reasons}>
            <Measure kind="mass" value={base + mass} />
          </AskNumber>
        </Headline>
      </Flex>
    </Section>
  )
}
