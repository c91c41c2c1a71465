import type { ColumnType, Generated } from 'kysely'
import type { OrderState, Progress } from '@/core/order'

/** Orders, how far they are, whose they are, and what is noted of them and of other things. Quantities are SI. */
export interface OrderTables {
  customer_order: {
    id: string
    customer: string
    title: string
    due: string
    notes: string
    white_look: Generated<string>
    /** The order that it prints again. */
    reorder_of: Generated<string | null>
    pvc_free: Generated<number>
    /** ISO day on which garments are expected. */
    garments_on: Generated<string | null>
    version: ColumnType<number, number | undefined, number>
    deleted_at: ColumnType<string | null, string | null | undefined, string | null>
    /** On how many days it was found deleted. */
    deleted_days: Generated<number>
    state: ColumnType<OrderState, OrderState | undefined, OrderState>
    /** ISO time since when it is done. */
    ended_at: ColumnType<string | null, string | null | undefined, string | null>
  }
  /** What was said of how far an order is, and when; ISO time. */
  order_said: { order_id: string; mark: Progress; at: string }
  /** What is known of a customer beyond their orders; `key` is the name as one. */
  customer: {
    key: string
    name: string
    lead_days: number | null
    white_look: string | null
    rules: string
  }
  /** Words and pictures about a thing; `photos` is JSON. */
  note: {
    id: Generated<number>
    about: 'order' | 'print' | 'press' | 'frame' | 'customer'
    of: string
    at: string
    words: string
    photos: string
  }
  garment_line: {
    order_id: string
    id: string
    place: number
    style: string
    cloth_name: string
    hex: string
    weave: string
    cotton: number
    polyester: number
    weight: number
    elastane: number | null
    dye: string | null
    cloth_group: string
  }
  size_quantity: {
    order_id: string
    line_id: string
    place: number
    size: string
    quantity: number
    received: number | null
  }
  placement: {
    order_id: string
    id: string
    place: number
    location: string
    width: number
    height: number
    sizes: string
    choke: number | null
    cloth_draws: string | null
  }
  placement_ink: {
    order_id: string
    placement_id: string
    id: string
    place: number
    name: string
    hex: string
    ink_type: string
    opacity: string
    coverage: number
    ruling: number | null
    angle: number | null
    line: number | null
    gap: number | null
    particle: number | null
    deposit: number | null
    system: string
    low_cure: number
    /** JSON of what its can says; none where nothing is said. */
    can: string | null
  }
  ink_relation: {
    order_id: string
    placement_id: string
    place: number
    a: string
    b: string
    how: string
    width: number | null
    lies_over: string | null
  }
}
