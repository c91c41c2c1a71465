import { Box } from '@chakra-ui/react'

/** Open orders that are due later than what is shown. */
export function Later({ orders }: { readonly orders: number }) {
  if (orders === 0) return null
  return (
    <Box color="soft" py="3">
      {orders.toLocaleString('en')} more open {orders === 1 ? 'order is' : 'orders are'} due later; they come
      in here as those before them are done.
    </Box>
  )
}
