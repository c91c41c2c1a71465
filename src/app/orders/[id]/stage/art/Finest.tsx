import { useFormContext, useWatch } from 'react-hook-form'
import type { Order } from '@/core/order'
import type { Kind } from '@/core/quantity'
import { QuantityField } from '@/ui/fields'
import { Table } from '@/ui/Section'
import { useOfPrint } from './ofPrint'

/** What each film asks of its mesh: read off the films, or typed. */
export function Finest({ at }: { readonly at: number }) {
  const { control } = useFormContext<Order>()
  const ofPrint = useOfPrint(at)
  const inks = useWatch({ control, name: `placements.${at}.inks` })
  if (inks.length === 0) return null
  return (
    <Table width="auto" mb="5" css={{ '& td': { paddingRight: '6px', verticalAlign: 'middle' } }}>
      <thead>
        <tr>
          <th style={{ width: '12rem' }}>What the mesh must hold</th>
          <th className="num">Smallest line</th>
          <th className="num">Smallest gap</th>
          <th className="num">Halftone angle</th>
          <th className="num">Particle size</th>
          <th className="num">Wanted dry deposit</th>
        </tr>
      </thead>
      <tbody>
        {inks.map((ink, i) => {
          const path = `placements.${at}.inks.${i}` as const
          const field = (
            name: 'line' | 'gap' | 'angle' | 'particle' | 'deposit',
            kind: Kind,
            label: string,
          ) => (
            <td style={{ width: '7rem' }}>
              <QuantityField
                bare
                optional
                name={`${path}.${name}`}
                label={`${label} of ${ink.name}${ofPrint}`}
                kind={kind}
              />
            </td>
          )
          return (
            <tr key={ink.id}>
              <td>{ink.name || 'ink'}</td>
              {field('line', 'fine', 'Smallest line')}
              {field('gap', 'fine', 'Smallest gap')}
              {field('angle', 'turn', 'Halftone angle')}
              {field('particle', 'thickness', 'Particle size')}
              {field('deposit', 'thickness', 'Wanted dry deposit')}
            </tr>
          )
        })}
      </tbody>
    </Table>
  )
}
