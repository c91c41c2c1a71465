import { Box } from '@chakra-ui/react'
import { useMemo } from 'react'
import { message, numberOf } from '@/core/advice'
import { WHERES } from '@/core/order'
import { printsInTurn } from '@/core/plan'
import { Link } from '@/ui/elements'
import { Section, Table } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { InkRow } from '@/ui/Swatch'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../../orderContext'
import type { PlanProps } from '../planProps'

/** All prints that go on the garments of this run, in the order in which they are printed. */
export function PrintsInTurn({ plan }: PlanProps) {
  const { order, stagePath, decided, runs } = useOrder()
  const { units } = useSettings()
  const film = numberOf(plan.cure.inkFilm)
  const prints = useMemo(() => {
    const set = runs.map(({ id }) => [id, Number(decided[id]?.decisions.overrides.cureFilm) || undefined])
    return printsInTurn(order, plan.run, plan.method, { ...Object.fromEntries(set), [plan.run.id]: film })
  }, [order, plan.run, plan.method, film, decided, runs])
  if (prints.length < 2) return null
  return (
    <Section title={`${prints.length} prints on this garment, in turn`}>
      <Table css={{ '& td': { paddingBlock: '4px', verticalAlign: 'middle' } }}>
        <tbody data-turn>
          {prints.map(({ run, reasons }, i) => (
            <tr key={run.id}>
              <td className="num" style={{ width: '2.5rem' }}>
                <Box as="span" fontSize="title" fontWeight="700">
                  {i + 1}
                </Box>
              </td>
              <td style={{ width: '13rem' }}>
                {run.id === plan.run.id ? (
                  <b>{WHERES[run.placement.where]}, this run</b>
                ) : (
                  <Link href={stagePath('sequence', run.id)} textDecoration="underline">
                    {WHERES[run.placement.where]}
                  </Link>
                )}
              </td>
              <td style={{ width: '8rem' }}>
                <InkRow cloth={plan.cloth} inks={run.placement.inks} />
              </td>
              <td>
                {reasons.map((r) => (
                  <Box key={r.rule} fontSize="small" lineHeight="1.3">
                    {r.severity && <SeverityMark severity={r.severity} />} {message(r, units)}
                  </Box>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Box fontSize="small" color="soft">
        As many passes over a press and through the dryer as there are prints.
      </Box>
    </Section>
  )
}
