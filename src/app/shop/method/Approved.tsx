import { Box } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { useFieldArray, useFormContext } from 'react-hook-form'
import { type ShopAndShelf, STROKE_USES, type StrokeUse } from '@/core/equipment'
import { writeQuantity } from '@/core/quantity'
import { Day } from '@/ui/day'
import { Section, Table, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { useShop } from '../shopContext'

/** Settings that printed a good sample: what alike screens are planned with. */
export function Approved() {
  const { control } = useFormContext<ShopAndShelf>()
  const { shop } = useShop()
  const { units } = useSettings()
  const list = useFieldArray({ control, name: 'shop.approved', keyName: 'key' })
  return (
    <Section title="Approved settings">
      {list.fields.length === 0 ? (
        <Box color="soft">
          Nothing yet. When a sample is good, keep its settings on the order’s Sequence: alike screens are
          then planned with them.
        </Box>
      ) : (
        <Table>
          <thead>
            <tr>
              <th>Screen</th>
              <th>Press</th>
              <th>Prints</th>
              <th className="num">Mesh</th>
              <th>Squeegee</th>
              <th>Pressure</th>
              <th className="num">A stroke</th>
              <th className="num">Since</th>
              <th>
                <Box srOnly>Forget it</Box>
              </th>
            </tr>
          </thead>
          <tbody>
            {list.fields.map((p, i) => (
              <tr key={p.key}>
                <td>{p.words}</td>
                <td>{shop.presses.find((x) => x.id === p.pressId)?.name ?? 'a press that is gone'}</td>
                <td>{STROKE_USES[p.use as StrokeUse]}</td>
                <td className="num">{writeQuantity('meshCount', p.mesh, units)}</td>
                <td>{p.squeegee}</td>
                <td>{p.pressure}</td>
                <td className="num">{writeQuantity('duration', p.time, units)}</td>
                <td className="num">
                  <Day at={p.on} />
                </td>
                <td className="num">
                  <TextButton onClick={() => list.remove(i)} aria-label={`Forget ${p.words}`}>
                    <X size={16} aria-hidden="true" />
                  </TextButton>
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </Section>
  )
}
