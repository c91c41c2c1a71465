import { noDecisions, plan } from '@/core/plan'
import { DEMO_SHOP, demoOrders } from './demo'

export const TODAY = '2026-11-23'
export const NOW = new Date('2026-11-23T09:00:00Z')
export const days = (n: number) => new Date(NOW.getTime() + n * 86_400_000)
export const RUN = 'R-1001-P1-dark'
/** What a release of the run freezes. */
export const frozen = () => {
  const [order] = demoOrders(TODAY)
  if (!order) throw new Error('no order')
  return { order, plan: plan(order, DEMO_SHOP, noDecisions(RUN)), shopName: DEMO_SHOP.name }
}
