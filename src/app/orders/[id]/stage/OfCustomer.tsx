import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { useFormContext, useWatch } from 'react-hook-form'
import { type Order, WHITE_LOOKS } from '@/core/order'
import { Day } from '@/ui/day'
import { Link } from '@/ui/elements'
import { TextButton } from '@/ui/Section'
import { act } from '../../../acts/act'
import { customerPath } from '../../../customers/customerPath'
import { Notes } from '../../../notes/Notes'
import { useOrder } from '../orderContext'

/** What holds for all jobs of whoever ordered, and earlier orders to copy while this one is only begun. */
export function OfCustomer() {
  const { order, customer } = useOrder()
  const { known, earlier } = customer
  const { control, setValue } = useFormContext<Order>()
  const white = useWatch({ control, name: 'whiteLook' }) ?? 'bright'
  const [problem, setProblem] = useState('')
  const isBegun = order.placements.every((p) => p.inks.length === 0)
  if (!known && earlier.length === 0) return null
  const copy = async (from: string) => {
    const done = await act('copyFrom', { id: order.id, from })
    setProblem(done.ok ? '' : done.message)
  }
  const wanted = known?.whiteLook
  return (
    <Box mt="-3" mb="6" fontSize="small" role="group" aria-label={`Known of ${order.customer}`}>
      <Flex columnGap="5" rowGap="1" wrap="wrap" align="baseline">
        {known?.rules && (
          <Box fontSize="body">
            House rules: <strong>{known.rules}</strong>
          </Box>
        )}
        {wanted && wanted !== white && (
          <TextButton
            onClick={() => setValue('whiteLook', wanted, { shouldDirty: true, shouldValidate: true })}
          >
            Take their white: {WHITE_LOOKS[wanted].toLowerCase().replace(/:.*/, '')}
          </TextButton>
        )}
        <Link href={customerPath(order.customer)} prefetch={false} textDecoration="underline">
          {earlier.length === 0 ? 'The customer' : `Their other orders (${earlier.length})`}
        </Link>
      </Flex>
      {isBegun && earlier.length > 0 && (
        <Flex columnGap="4" rowGap="1" wrap="wrap" align="baseline" mt="1">
          <Box color="soft">Copy garments, art and choices from</Box>
          {earlier.map((o) => (
            <TextButton key={o.id} onClick={() => void copy(o.id)}>
              {o.id} {o.title || <Day at={o.due} />}
            </TextButton>
          ))}
        </Flex>
      )}
      <Notes about="customer" of={order.customer} name={order.customer} still />
      {problem && <Box role="alert">{problem}</Box>}
    </Box>
  )
}
