/** What an edit was made to. `presence` is whether an order is deleted. */
export interface Edited {
  readonly kind: 'order' | 'decisions' | 'shop' | 'presence'
  readonly id: string
}
