import { Box } from '@chakra-ui/react'
import { q } from '@/core/advice'
import { PLAN, type Variant } from '@/core/plan'
import type { Kind } from '@/core/quantity'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Section, Table, TextButton } from '@/ui/Section'
import type { TypeSize } from '@/ui/system'
import { useOrder } from '../orderContext'

interface Column {
  readonly head: string
  /** As its answer calls it. */
  readonly what: string
  readonly kind: Kind
  readonly of: (v: Variant) => number | undefined
}

const COST: readonly Column[] = [
  { head: 'Screens', what: 'screens:', kind: 'count', of: (v) => v.screens },
  { head: 'Flashes', what: 'flashes:', kind: 'count', of: (v) => v.flashes },
  { head: 'Whole run', what: 'from set-up to the last piece', kind: 'workTime', of: (v) => v.time },
  { head: 'Thickest ink', what: 'thickest ink', kind: 'thickness', of: (v) => v.hand },
]
export const CHANGE: Column = {
  head: 'Most changed',
  what: 'largest colour change is',
  kind: 'difference',
  of: (v) => v.worst?.change,
}
export const WHITE: Column = {
  head: 'White comes to',
  what: 'the white comes to L*',
  kind: 'difference',
  of: (v) => v.white,
}

interface Props {
  readonly title: string
  readonly variants: readonly Variant[]
  /** What decides between them, shown first and largest. */
  readonly lead: Column
}

/** Ways to do the whole job, side by side, with what each takes and gives; one press takes another. */
export function VariantsTable({ title, variants, lead }: Props) {
  const { choose, plan } = useOrder()
  if (variants.length < 2) return null
  const nameOf = (v: Variant) =>
    lead === CHANGE ? plan?.run.placement.inks.find((i) => i.id === v.worst?.inkId)?.name : undefined
  return (
    <Section title={title}>
      <Table css={{ '& td': { paddingBlock: '3px', verticalAlign: 'middle' } }}>
        <thead>
          <tr>
            <th style={{ width: '14rem' }}>Way</th>
            <th style={{ width: '13rem' }}>{lead.head}</th>
            {COST.map((c) => (
              <th key={c.head} className="num">
                {c.head}
              </th>
            ))}
            <th>
              <Box srOnly>Take it</Box>
            </th>
          </tr>
        </thead>
        <tbody>
          {variants.map((v) => (
            <tr key={v.id}>
              <td>
                <Box fontWeight={v.inForce ? '700' : '500'}>{v.label}</Box>
              </td>
              <td>
                <Figure variant={v} column={lead} size="title" />{' '}
                <Box as="span" color="soft" fontSize="small">
                  {nameOf(v)}
                </Box>
              </td>
              {COST.map((c) => (
                <td key={c.head} className="num">
                  <Figure variant={v} column={c} />
                </td>
              ))}
              <td className="num" style={{ width: '7.5rem' }}>
                {v.inForce ? (
                  <Box as="span" fontWeight="700" fontSize="small">
                    planned
                  </Box>
                ) : (
                  <TextButton onClick={() => choose(v.keys, v.overrides)} aria-label={`Take: ${v.label}`}>
                    Take this
                  </TextButton>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Section>
  )
}

function Figure({
  variant,
  column,
  size = 'body',
}: {
  readonly variant: Variant
  readonly column: Column
  readonly size?: TypeSize
}) {
  const value = column.of(variant)
  if (value === undefined)
    return (
      <Box as="span" color="soft">
        {variant.fits ? 'none' : 'does not fit'}
      </Box>
    )
  const reason = PLAN.because('VARIANT', {
    way: variant.label,
    what: column.what,
    value: q(column.kind, value),
  })
  return (
    <AskNumber label={`${column.head}, ${variant.label.toLowerCase()}`} reasons={[reason]}>
      <Box as="span" fontSize={size} fontWeight={size === 'body' ? '500' : '650'}>
        <Measure kind={column.kind} value={value} />
      </Box>
    </AskNumber>
  )
}
