import { Box } from '@chakra-ui/react'
import { message, numberOf, q } from '@/core/advice'
import type { Shop } from '@/core/equipment'
import { costsOf, PLAN, type RunPlan, screensOf, type Way } from '@/core/plan'
import type { Kind } from '@/core/quantity'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Section, Table, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../../orderContext'
import { useWays } from '../../usePlan'
import type { PlanProps } from '../planProps'

interface Column {
  readonly head: string
  readonly what: string
  readonly kind: Kind
  readonly of: (p: RunPlan, shop: Shop) => number | undefined
}

const COLUMNS: readonly Column[] = [
  { head: 'Flashes', what: 'flashes:', kind: 'count', of: (p) => p.flashes.length },
  { head: 'Screens', what: 'screens:', kind: 'count', of: screensOf },
  { head: 'Laps', what: 'laps:', kind: 'count', of: (p) => p.sequence.laps },
  {
    head: 'Wet contact risk',
    what: 'wet contact risk:',
    kind: 'count',
    of: (p) => Math.round(p.sequence.wetRisk),
  },
  { head: 'Set-up moves', what: 'set-up moves to mount it:', kind: 'count', of: (p) => p.sequence.moves },
  {
    head: 'Whole run',
    what: 'from set-up to the last piece',
    kind: 'workTime',
    of: (p) => p.time && numberOf(p.time.total),
  },
  {
    head: 'A piece',
    what: 'printing a piece costs',
    kind: 'money',
    of: (p, shop) => costsOf(p, shop)?.piece,
  },
]

interface Props extends PlanProps {
  /** The way that is shown beside the plan. */
  readonly shown: string | undefined
  readonly onShow: (way: Way | undefined) => void
}

/** Ways to print the run that truly differ, with what each takes: one press shows it beside the plan, one takes it. */
export function OtherWays({ plan, shown, onShow }: Props) {
  const { order, shelf, decisions, decideAll } = useOrder()
  const ways = useWays(order, shelf.shop, decisions, plan)
  if (!ways) return null
  const take = (way: Way) => {
    onShow(undefined)
    decideAll(way.decisions)
  }
  return (
    <Section title="Other ways to print it">
      {ways.length === 0 ? (
        <Box color="soft">No other way fits the presses of this shop.</Box>
      ) : (
        <Table css={{ '& td': { paddingBlock: '4px', verticalAlign: 'top' } }}>
          <thead>
            <tr>
              <th>Way</th>
              {COLUMNS.map((c) => (
                <th key={c.head} className="num" style={{ whiteSpace: 'nowrap' }}>
                  {c.head}
                </th>
              ))}
              <th>
                <Box srOnly>Show or take it</Box>
              </th>
            </tr>
          </thead>
          <tbody>
            <Row label="As planned now" plan={plan} />
            {ways.map((way) => (
              <Row key={way.id} label={way.label} plan={way.plan} way={way}>
                <TextButton
                  onClick={() => onShow(shown === way.id ? undefined : way)}
                  aria-expanded={shown === way.id}
                  aria-label={`${shown === way.id ? 'Hide' : 'Show'}: ${way.label}`}
                >
                  {shown === way.id ? 'hide' : 'show'}
                </TextButton>
                <TextButton onClick={() => take(way)} aria-label={`Take: ${way.label}`}>
                  take
                </TextButton>
              </Row>
            ))}
          </tbody>
        </Table>
      )}
    </Section>
  )
}

function Row({
  label,
  plan,
  way,
  children,
}: {
  readonly label: string
  readonly plan: RunPlan
  readonly way?: Way
  readonly children?: React.ReactNode
}) {
  const { units } = useSettings()
  const { shop } = useOrder().shelf
  return (
    <tr>
      <td>
        <Box fontWeight={way ? '600' : '700'}>{label}</Box>
        {way && (
          <Box fontSize="small" color="soft" maxWidth="24rem" lineHeight="1.3">
            {message(way.why, units)}
          </Box>
        )}
      </td>
      {COLUMNS.map((c) => {
        const value = c.of(plan, shop)
        return (
          <td key={c.head} className="num">
            {value !== undefined && (
              <AskNumber
                label={`${c.head}, ${label.toLowerCase()}`}
                reasons={[PLAN.because('VARIANT', { way: label, what: c.what, value: q(c.kind, value) })]}
              >
                <Box as="span" fontSize="lead" fontWeight="600">
                  <Measure kind={c.kind} value={value} />
                </Box>
              </AskNumber>
            )}
          </td>
        )
      })}
      <td className="num" style={{ whiteSpace: 'nowrap' }}>
        {children}
      </td>
    </tr>
  )
}
