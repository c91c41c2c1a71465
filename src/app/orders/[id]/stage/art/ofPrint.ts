import { useFormContext } from 'react-hook-form'
import type { Order } from '@/core/order'

/** Which print is meant, said where the order has others: ` of P2`. */
export function useOfPrint(at: number): string {
  const prints = useFormContext<Order>().getValues('placements')
  return prints.length > 1 ? ` of ${prints[at]?.id ?? ''}` : ''
}
