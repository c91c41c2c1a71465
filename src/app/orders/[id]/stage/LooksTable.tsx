import { Box, Flex } from '@chakra-ui/react'
import { useMemo } from 'react'
import { type ChoiceAdvice, message, q } from '@/core/advice'
import { printedDot } from '@/core/color'
import { changeWord, INK, type Looks, type Printed, type Tint } from '@/core/ink'
import type { InkColour } from '@/core/order'
import { type Look, looksOfRun, type RunPlan } from '@/core/plan'
import { keysOf } from '@/core/quantity'
import { AdviceChoice } from '@/ui/AdviceValue'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { InkName } from '@/ui/parts'
import { Section, Table } from '@/ui/Section'
import { Swatch } from '@/ui/Swatch'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../orderContext'

const WAYS: Readonly<Record<keyof Looks, string>> = {
  direct: 'Straight on cloth',
  based: 'On one base',
  twice: 'On two whites',
}

/** Each colour with its base, and how it should look on this cloth with and without white under it. */
export function LooksTable({ plan }: { readonly plan: RunPlan }) {
  const { inkRoom } = useOrder().shelf.shop
  const looks = useMemo(() => looksOfRun(plan, inkRoom), [plan, inkRoom])
  return (
    <Section title={`Base under each colour on ${plan.cloth.name}`}>
      <Table css={{ '& td': { paddingBlock: '4px', verticalAlign: 'middle' } }}>
        <thead>
          <tr>
            <th style={{ width: '11.5rem' }}>Target</th>
            <th style={{ width: '8rem' }}>Base</th>
            {Object.values(WAYS).map((way) => (
              <th key={way}>{way}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {plan.run.placement.inks.map((ink, i) => (
            <LookRow
              key={ink.id}
              ink={ink}
              base={plan.colours[i]?.base}
              look={looks.find((l) => l.inkId === ink.id)}
            />
          ))}
        </tbody>
      </Table>
      <Box color="soft" fontSize="small" mt="1">
        Colour difference (CIEDE2000) to the very same films on white: what the cloth does to the colour.
        Computed, not measured.
      </Box>
    </Section>
  )
}

function LookRow({
  ink,
  base,
  look,
}: {
  readonly ink: InkColour
  readonly base: ChoiceAdvice | undefined
  readonly look: Look | undefined
}) {
  const { units } = useSettings()
  return (
    <tr>
      <td>
        <InkName hex={ink.hex} name={ink.name} />
        {look && look.tints.length > 0 && <Tints name={ink.name} tints={look.tints} />}
      </td>
      <td>{base && <AdviceChoice advice={base} size="lead" />}</td>
      {look ? (
        keysOf(WAYS).map((way) => (
          <td key={way}>
            <Seen
              name={`${ink.name}, ${WAYS[way].toLowerCase()}`}
              printed={look.looks[way]}
              planned={look.planned === way}
              driesInScreen={look.driesInScreen}
            />
          </td>
        ))
      ) : (
        <td colSpan={3}>
          <Box color="soft" fontSize="small">
            {base?.reasons[0] && message(base.reasons[0], units)}
          </Box>
        </td>
      )}
    </tr>
  )
}

/** How tints of a halftone look in the way that is planned. */
function Tints({ name, tints }: { readonly name: string; readonly tints: readonly Tint[] }) {
  return (
    <Flex gap="1" mt="1" align="center">
      {tints.map(({ dot, hex, lightness }) => (
        <AskNumber
          key={dot}
          label={`Tint ${Math.round(dot * 100)} % of ${name}`}
          reasons={[
            INK.because('PREDICTED_TINT', {
              dot: q('share', dot),
              printed: q('share', printedDot(dot)),
              lightness: q('difference', lightness),
            }),
          ]}
        >
          <Flex direction="column" align="center" fontSize="small" lineHeight="1.1">
            <Swatch hex={hex} size={18} />
            {Math.round(dot * 100)}
          </Flex>
        </AskNumber>
      ))}
    </Flex>
  )
}

interface SeenProps {
  readonly name: string
  readonly printed: Printed
  readonly planned: boolean
  readonly driesInScreen: boolean
}

function Seen({ name, printed, planned, driesInScreen }: SeenProps) {
  const { hex, lightness, change, thickness } = printed
  const { limits } = useOrder().shelf.shop.inkRoom
  const reasons = [
    INK.because('PREDICTED', {
      print: name,
      lightness: q('difference', lightness),
      change: q('difference', change),
      film: q('thickness', thickness),
      meant: q('difference', limits.match),
      toned: q('difference', limits.visible),
    }),
    ...(driesInScreen ? [INK.because('PREDICTED_DYES')] : []),
  ]
  return (
    <Flex gap="2.5" align="center">
      <Swatch hex={hex} size={30} />
      <Box lineHeight="1.2">
        <AskNumber label={`Look of ${name}`} reasons={reasons}>
          <Box as="span" fontSize="lead" fontWeight="650">
            <Measure kind="difference" value={change} />
          </Box>{' '}
          <Box as="span" fontSize="small">
            {changeWord(change, limits)}
          </Box>
        </AskNumber>
        <Box fontSize="small" fontWeight={planned ? '700' : '400'} color={planned ? 'ink' : 'soft'}>
          {planned ? 'planned' : ' '}
        </Box>
      </Box>
    </Flex>
  )
}
