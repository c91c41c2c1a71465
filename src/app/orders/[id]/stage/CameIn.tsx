import { Box, Flex } from '@chakra-ui/react'
import { useFormContext, useWatch } from 'react-hook-form'
import { cameOver, mostColours, type Order, type SizeQuantity, sparesOf } from '@/core/order'
import { AskNumber } from '@/ui/AskNumber'
import { CountField } from '@/ui/fields'
import { TextButton } from '@/ui/Section'
import { useOrder } from '../orderContext'

/** Garments of a line that came in, by size, against what is ordered; and how many spare ones to order. */
export function CameIn({ at }: { readonly at: number }) {
  const { order, customer } = useOrder()
  const { control, setValue } = useFormContext<Order>()
  const sizes = useWatch({ control, name: `lines.${at}.sizes` })
  const put = (received: (s: SizeQuantity) => number) =>
    setValue(
      `lines.${at}.sizes`,
      sizes.map((s) => ({ ...s, received: received(s) })),
      { shouldDirty: true, shouldValidate: true },
    )
  const isFirst = !customer.earlier.some((o) => sameName(o.title, order.title))
  const { total, bySize, reasons } = sparesOf(order.lines[at]?.sizes ?? [], mostColours(order), isFirst)
  const name = order.lines[at]?.cloth.name ?? ''
  const several = order.lines.length > 1
  return (
    <Box role="group" aria-label={`Came in, ${name}`} mt="2">
      <Flex gap="2" align="start" wrap="wrap">
        {sizes.map((s, i) => (
          <Box key={s.size}>
            <CountField
              name={`lines.${at}.sizes.${i}.received`}
              label={`${s.size} in`}
              of={several ? name : undefined}
              width="3.6rem"
            />
            <Box fontSize="small" textAlign="right" fontWeight="650" minHeight="1.3em">
              {overWords(cameOver(s))}
            </Box>
          </Box>
        ))}
        <Box pt="6">
          <TextButton onClick={() => put((s) => s.quantity)}>All came as ordered</TextButton>
        </Box>
      </Flex>
      {total > 0 && (
        <Box fontSize="small">
          <AskNumber label={`Spares, ${name}`} reasons={reasons}>
            {total} spare
          </AskNumber>{' '}
          to order with them:{' '}
          {bySize
            .filter((s) => s.quantity > 0)
            .map((s) => `${s.size} ${s.quantity}`)
            .join(', ')}
        </Box>
      )}
    </Box>
  )
}

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase()

function overWords(over: number | undefined): string {
  if (!over) return ''
  return over < 0 ? `${-over} short` : `${over} spare`
}
