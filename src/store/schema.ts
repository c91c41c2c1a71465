import type { ColumnType } from 'kysely'

/** Columns that must hold one of a few words are checked by the database; quantities are SI. */
export interface Tables {
  shop: { id: 1; name: string }
  method: { school: string; option: string }
  press: {
    id: string
    place: number
    name: string
    kind: 'bench' | 'single' | 'manual' | 'automatic'
    pallet_width: number
    pallet_height: number
    board: string
    heads: number | null
    pallets: number | null
  }
  station: { press_id: string; number: number; usable: number; flash_allowed: number }
  flash_unit: { id: string; place: number; name: string; kind: string; press_id: string }
  dryer: { id: string; place: number; name: string; heated_length: number; belt_width: number }
  frame: { id: string; width: number; height: number; mesh: number; tension: number; state: string }
  blade: { id: string; hardness: string; length: number; edge: string }
  ink: {
    id: string
    place: number
    name: string
    hex: string
    character: string
    opacity: string
    system: string
  }
  cloth: ClothColumns & { place: number }
  customer_order: {
    id: string
    customer: string
    title: string
    due: string
    notes: string
    version: ColumnType<number, number | undefined, number>
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
    cloth_group: string
  }
  size_quantity: { order_id: string; line_id: string; place: number; size: string; quantity: number }
  placement: {
    order_id: string
    id: string
    place: number
    location: string
    width: number
    height: number
    sizes: string
  }
  placement_ink: {
    order_id: string
    placement_id: string
    id: string
    place: number
    name: string
    hex: string
    character: string
    opacity: string
    coverage: number
    ruling: number | null
    system: string
    low_cure: number
  }
  ink_relation: {
    order_id: string
    placement_id: string
    place: number
    a: string
    b: string
    how: string
    width: number | null
  }
  run: { id: string; order_id: string; version: ColumnType<number, number | undefined, number> }
  decision: {
    run_id: string
    kind: 'override' | 'school' | 'order'
    key: string
    number: number | null
    word: string | null
  }
}

interface ClothColumns {
  name: string
  hex: string
  weave: string
  cotton: number
  polyester: number
  weight: number
}
