'use client'

import { Box, Flex } from '@chakra-ui/react'
import { numberOf } from '@/core/advice'
import { SYSTEMS } from '@/core/order'
import { type HitPlan, handOf, loadOf } from '@/core/plan'
import { AdviceNumber } from '@/ui/AdviceValue'
import { AskNumber, FactMeasure } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { ChoiceFigure, Headline, InkName } from '@/ui/parts'
import { Section, Table } from '@/ui/Section'
import { InkRow } from '@/ui/Swatch'
import { useOrder } from '../orderContext'
import { useVariants } from '../usePlan'
import { InkAtPress } from './InkAtPress'
import { LooksTable } from './LooksTable'
import type { PlanProps } from './planProps'
import { CHANGE, VariantsTable, WHITE } from './VariantsTable'

/** Stage 4: base or none for every colour, the whites, and how much ink. */
export function InkStage({ plan }: PlanProps) {
  const { order, shelf, decisions } = useOrder()
  const variants = useVariants(order, shelf.shop, decisions, plan)
  const { inks } = plan.run.placement
  const hasWhite = inks.some((ink) => ink.inkType === 'white')
  const inked = plan.hits.filter((h) => h.ink !== undefined)
  const hand = handOf(plan)
  const total = inked.reduce((sum, h) => sum + (h.ink ? numberOf(h.ink) : 0), 0)
  return (
    <>
      <Flex wrap="wrap" columnGap="12" rowGap="3" mb="5" align="end">
        <ChoiceFigure advice={plan.secondWhite} size="figure" />
        {plan.smooth && <ChoiceFigure advice={plan.smooth} />}
        {hand && (
          <Headline label="Hand">
            <AskNumber label="Hand" reasons={hand.reasons}>
              {hand.word}, <Measure kind="thickness" value={hand.film} />
            </AskNumber>
          </Headline>
        )}
        <Headline label="Ink to have ready">
          <FactMeasure label="Ink to have ready" kind="mass" value={total} rule="INK_TOTAL" />
        </Headline>
        <Box>
          <Box fontSize="small" color="soft">
            {plan.cloth.name}
          </Box>
          <InkRow cloth={plan.cloth} inks={inks} />
        </Box>
      </Flex>
      <InkAtPress time={plan.time} />
      <LooksTable plan={plan} />
      <Section title="Ink for each screen">
        <Table>
          <thead>
            <tr>
              <th>Screen</th>
              <th className="num">Ready</th>
              <th className="num">First load</th>
              <th>Then</th>
              <th className="num">Coverage</th>
              <th>System</th>
            </tr>
          </thead>
          <tbody>
            {inked.map((h) => (
              <tr key={h.hit.id}>
                <td style={{ width: '14rem' }}>
                  <InkName hex={h.hex} name={h.hit.name} />
                </td>
                <td className="num">{h.ink && <AdviceNumber advice={h.ink} size="title" />}</td>
                <Load hit={h} pieces={plan.run.quantity} />
                <td className="num">
                  {h.hit.role === 'base' && plan.baseCoverage ? (
                    <AdviceNumber advice={plan.baseCoverage} />
                  ) : (
                    <FactMeasure
                      label={`Coverage of ${h.hit.name}`}
                      kind="share"
                      value={h.hit.coverage}
                      rule="ART"
                    />
                  )}
                </td>
                <td>{SYSTEMS[h.hit.system as keyof typeof SYSTEMS]}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Section>
      <VariantsTable title="The whole job" variants={variants?.bases ?? []} lead={CHANGE} />
      <VariantsTable
        title={hasWhite ? 'Ways to a bright white' : 'One white below or two'}
        variants={variants?.whites ?? []}
        lead={hasWhite ? WHITE : CHANGE}
      />
    </>
  )
}

/** What goes into the screen at first, and on the way. */
function Load({ hit, pieces }: { readonly hit: HitPlan; readonly pieces: number }) {
  const load = loadOf(hit, pieces)
  if (!load) return <td colSpan={2} />
  const { first, again, reasons } = load
  return (
    <>
      <td className="num">
        <AskNumber label={`First load of ${hit.hit.name}`} reasons={reasons}>
          <Measure kind="mass" value={first} />
        </AskNumber>
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>
        {again ? (
          <>
            <AskNumber label={`Refill of ${hit.hit.name}`} reasons={reasons}>
              <Measure kind="mass" value={again.mass} />
            </AskNumber>{' '}
            every{' '}
            <AskNumber label={`Prints between refills of ${hit.hit.name}`} reasons={reasons}>
              {again.every}
            </AskNumber>{' '}
            prints
          </>
        ) : (
          <Box as="span" color="soft">
            nothing more
          </Box>
        )}
      </td>
    </>
  )
}
