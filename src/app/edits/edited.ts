/** What an edit was made to: an order, a run's decisions, a part of the shop. `presence` is whether an order is deleted. */
export interface Edited {
  readonly kind: 'order' | 'decisions' | 'shop' | 'presence'
  readonly id: string
}
