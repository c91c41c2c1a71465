import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { q } from '@/core/advice'
import { COST_PARTS, costsOf, PLAN } from '@/core/plan'
import { keysOf } from '@/core/quantity'
import { AskNumber } from '@/ui/AskNumber'
import { QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { Section, Table } from '@/ui/Section'
import { useOrder } from '../../orderContext'
import type { PlanProps } from '../planProps'

const QUANTITIES = [24, 48, 96, 144, 288, 576] as const
const PARTS = keysOf(COST_PARTS)

/** What printing the run costs, a piece and in all, for other quantities too, and what it earns at a price. */
export function CostSection({ plan }: PlanProps) {
  const { shop } = useOrder().shelf
  const [price, setPrice] = useState(0)
  const own = costsOf(plan, shop)
  if (!own) return null
  const money = (value: number) => q('money', value)
  const { quantity } = plan.run
  const earned = price * quantity - own.total
  const quantities = [...new Set([...QUANTITIES, quantity])].sort((a, b) => a - b)
  return (
    <Section title="What printing it costs">
      <Flex gap="10" mb="3" align="end" wrap="wrap">
        <Headline label="A piece">
          <AskNumber
            label="Cost of a piece"
            reasons={[
              PLAN.because('COST_PIECE', {
                piece: money(own.piece),
                pieces: q('count', quantity),
                press: money(own.press),
                people: money(own.people),
                screens: money(own.screens),
                ink: money(own.ink),
                spoil: money(own.spoil),
              }),
            ]}
          >
            <Measure kind="money" value={own.piece} />
          </AskNumber>
        </Headline>
        {PARTS.map((part) => (
          <Box key={part}>
            <Box fontSize="small" color="soft">
              {COST_PARTS[part]}
            </Box>
            <Box fontSize="lead" fontWeight="600">
              <AskNumber
                label={`Cost: ${COST_PARTS[part]}`}
                reasons={[
                  PLAN.because('COST_PART', {
                    part: COST_PARTS[part],
                    value: money(own[part]),
                    pieces: q('count', quantity),
                  }),
                ]}
              >
                <Measure kind="money" value={own[part]} />
              </AskNumber>
            </Box>
          </Box>
        ))}
      </Flex>
      <Flex gap="12" align="start" wrap="wrap">
        <Table width="auto" css={{ '& td': { paddingBlock: '2px' } }}>
          <thead>
            <tr>
              <th className="num" style={{ width: '6rem' }}>
                Pieces
              </th>
              <th className="num" style={{ width: '7rem' }}>
                In all
              </th>
              <th className="num" style={{ width: '7rem' }}>
                A piece
              </th>
            </tr>
          </thead>
          <tbody data-cost>
            {quantities.map((n) => {
              const c = costsOf(plan, shop, n)
              return (
                c && (
                  <tr key={n}>
                    <td className="num" style={{ fontWeight: n === quantity ? 700 : 450 }}>
                      {n}
                    </td>
                    <td className="num">
                      <Measure kind="money" value={c.total} />
                    </td>
                    <td className="num">
                      <b>
                        <Measure kind="money" value={c.piece} />
                      </b>
                    </td>
                  </tr>
                )
              )
            })}
          </tbody>
        </Table>
        <Box width="16rem">
          <QuantityInput
            label="Price asked for printing a piece"
            kind="money"
            value={price}
            onGive={setPrice}
          />
          {price > 0 && (
            <Box mt="3">
              <Headline label={earned >= 0 ? 'Earns, an hour at the press' : 'Loses, an hour at the press'}>
                <AskNumber
                  label="Earns, an hour at the press"
                  reasons={[
                    PLAN.because('COST_EARNS', {
                      pieces: q('count', quantity),
                      price: money(price),
                      cost: money(own.total),
                      hours: q('workTime', own.time),
                    }),
                  ]}
                >
                  <Measure kind="money" value={Math.abs(earned) / (own.time / 3600)} />
                </AskNumber>
              </Headline>
            </Box>
          )}
        </Box>
      </Flex>
    </Section>
  )
}
