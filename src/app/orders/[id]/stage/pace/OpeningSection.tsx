import type { RunPlan } from '@/core/plan'
import { OPENING, openingOf } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Section, Table } from '@/ui/Section'

/** What is printed until the first good one: strokes, squares, scrap, and what wet inks need to settle. */
export function OpeningSection({ plan }: { readonly plan: RunPlan }) {
  const rows = openingOf(plan)
  if (rows.length === 0) return null
  return (
    <Section title="Until the first good print">
      <Table width="auto">
        <thead>
          <tr>
            <th style={{ width: '16rem' }}>What</th>
            <th className="num" style={{ width: '6rem' }}>
              Prints
            </th>
            <th className="num" style={{ width: '6rem' }}>
              Time
            </th>
            <th className="num" style={{ width: '6rem' }}>
              Ink
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ what, prints, time, ink, reasons }) => (
            <tr key={what} data-opening={what}>
              <td>{OPENING[what]}</td>
              <td className="num">
                {prints > 0 && (
                  <AskNumber label={`${OPENING[what]}, prints`} reasons={reasons}>
                    <strong>{prints}</strong>
                  </AskNumber>
                )}
              </td>
              <td className="num">
                <AskNumber label={`${OPENING[what]}, time`} reasons={reasons}>
                  <Measure kind="workTime" value={time} />
                </AskNumber>
              </td>
              <td className="num">
                <AskNumber label={`${OPENING[what]}, ink`} reasons={reasons}>
                  <Measure kind="mass" value={ink} />
                </AskNumber>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Section>
  )
}
