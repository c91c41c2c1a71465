import { Box, Flex } from '@chakra-ui/react'
import { useMemo } from 'react'
import { because, q } from '@/core/advice'
import { changeWord, type Looks, PREDICT_RULES, type Printed } from '@/core/ink'
import { type Look, looksOfRun, type RunPlan } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { InkName } from '@/ui/parts'
import { Section, Table } from '@/ui/Section'
import { Swatch } from '@/ui/Swatch'
import { useOrder } from '../orderContext'

const WAYS: Readonly<Record<keyof Looks, string>> = {
  direct: 'Straight on the cloth',
  based: 'On one base',
  twice: 'On base and second white',
}

/** How each colour should look on this cloth, with and without white under it; what the plan prints is marked. */
export function LooksTable({ plan }: { readonly plan: RunPlan }) {
  const { fabrics } = useOrder().shelf.shop.screens
  const looks = useMemo(() => looksOfRun(plan, fabrics), [plan, fabrics])
  if (looks.length === 0) return null
  return (
    <Section title={`How it should look on ${plan.cloth.name}`}>
      <Box color="soft" fontSize="0.9rem" mb="1">
        Colour difference to the very same films on white: what the cloth does to it. Computed, not measured.
      </Box>
      <Table css={{ '& td': { paddingBlock: '4px', verticalAlign: 'middle' } }}>
        <thead>
          <tr>
            <th style={{ width: '14rem' }}>Target</th>
            {Object.values(WAYS).map((way) => (
              <th key={way}>{way}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {looks.map((look) => (
            <LookRow key={look.inkId} plan={plan} look={look} />
          ))}
        </tbody>
      </Table>
    </Section>
  )
}

function LookRow({ plan, look }: { readonly plan: RunPlan; readonly look: Look }) {
  const ink = plan.run.placement.inks.find((i) => i.id === look.inkId)
  if (!ink) return null
  return (
    <tr>
      <td>
        <InkName hex={ink.hex} name={ink.name} />
      </td>
      {(Object.keys(WAYS) as (keyof Looks)[]).map((way) => (
        <td key={way}>
          <Seen
            name={`${ink.name}, ${WAYS[way].toLowerCase()}`}
            printed={look.looks[way]}
            planned={look.planned === way}
            waterBased={look.waterBased}
          />
        </td>
      ))}
    </tr>
  )
}

interface SeenProps {
  readonly name: string
  readonly printed: Printed
  readonly planned: boolean
  readonly waterBased: boolean
}

function Seen({ name, printed, planned, waterBased }: SeenProps) {
  const { hex, lightness, change, thickness } = printed
  const reasons = [
    because(PREDICT_RULES, 'PREDICTED', {
      print: name,
      lightness: q('difference', lightness),
      change: q('difference', change),
      film: q('film', thickness),
    }),
    ...(waterBased ? [because(PREDICT_RULES, 'PREDICTED_DYES')] : []),
  ]
  return (
    <Flex gap="2.5" align="center">
      <Swatch hex={hex} size={30} />
      <Box lineHeight="1.2">
        <AskNumber label={`Look of ${name}`} reasons={reasons}>
          <Box as="span" fontSize="1.15rem" fontWeight="650">
            <Measure kind="difference" value={change} />
          </Box>{' '}
          {changeWord(change)}
        </AskNumber>
        <Box fontSize="0.82rem" fontWeight={planned ? '700' : '400'} color={planned ? 'ink' : 'soft'}>
          {planned ? 'planned' : ' '}
        </Box>
      </Box>
    </Flex>
  )
}
