import { Box } from '@chakra-ui/react'
import type { Order } from '@/core/order'
import { Day } from '@/ui/day'
import { Section, Table } from '@/ui/Section'
import { SHOWN } from './shown'

/** Orders as they would be taken. */
export function Preview({ orders }: { readonly orders: readonly Order[] }) {
  const pieces = (o: Order) => o.lines.flatMap((l) => l.sizes).reduce((sum, s) => sum + s.quantity, 0)
  return (
    <Section title="What would be taken">
      <Table>
        <thead>
          <tr>
            <th>Number</th>
            <th>Customer</th>
            <th>Job</th>
            <th>Due</th>
            <th>Garments</th>
            <th className="num">Pieces</th>
          </tr>
        </thead>
        <tbody>
          {orders.slice(0, SHOWN).map((o) => (
            <tr key={o.id}>
              <td>{o.id}</td>
              <td>{o.customer}</td>
              <td>{o.title}</td>
              <td>
                <Day at={o.due} />
              </td>
              <td>{o.lines.map((l) => `${l.style}, ${l.cloth.name}`).join('; ')}</td>
              <td className="num">{pieces(o)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {orders.length > SHOWN && (
        <Box color="soft">and {(orders.length - SHOWN).toLocaleString('en')} more</Box>
      )}
      <Box mt="3" color="soft">
        Prints and colours are not in the file: each order comes with one empty full front.
      </Box>
    </Section>
  )
}
