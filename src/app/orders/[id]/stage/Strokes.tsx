import type { ReactNode } from 'react'
import { AdviceChoice, AdviceNumber } from '@/ui/AdviceValue'
import { InkName } from '@/ui/parts'
import { Section, Table } from '@/ui/Section'
import type { PlanProps } from './planProps'

/** The stroke of every hit. */
export function Strokes({ plan, side }: PlanProps & { readonly side: ReactNode }) {
  return (
    <Section title="Strokes" side={side}>
      <Table>
        <thead>
          <tr>
            <th>Hit</th>
            <th className="num">Strokes</th>
            <th>Blade</th>
            <th className="num">Angle</th>
            <th>Pressure</th>
            <th className="num">A stroke</th>
            <th>Flood</th>
          </tr>
        </thead>
        <tbody>
          {plan.hits.map((h) => (
            <tr key={h.hit.id}>
              <td>
                <InkName hex={h.hex} name={h.hit.name} />
              </td>
              <td className="num">
                <AdviceNumber advice={h.stroke.strokes} size="1.2rem" />
              </td>
              <td>
                <AdviceChoice advice={h.stroke.blade} />
              </td>
              <td className="num">
                <AdviceNumber advice={h.stroke.angle} />
              </td>
              <td>
                <AdviceChoice advice={h.stroke.pressure} />
              </td>
              <td className="num">
                <AdviceNumber advice={h.stroke.time} />
              </td>
              <td>
                <AdviceChoice advice={h.stroke.flood} />
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Section>
  )
}
