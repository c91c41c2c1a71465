import type { Generated } from 'kysely'

/** What is in cans and tubs, what was mixed, and how it was read. */
export interface InkTables {
  can: { id: string; code: string; lot: string; received: string; opened: string | null }
  batch: {
    id: string
    name: string
    system: string
    l: number
    a: number
    b: number
    run_id: string
    hit_id: string
    wanted: number
    begun: string
    mixed: string | null
    expires: string | null
    state: 'mixing' | 'mixed' | 'accepted' | 'gone'
  }
  batch_part: { batch_id: string; place: number; code: string; share: number }
  /** Every gram in or out of a can or a tub; never edited, put right by another entry. */
  stock_entry: {
    id: Generated<number>
    at: string
    tub: string
    kind: 'received' | 'poured' | 'mixed' | 'used' | 'returned' | 'discarded' | 'corrected'
    mass: number
    batch_id: string
    corrects: number | null
    note: string
    /** The ink that went into a tub, or came out of it again; null for all other entries. */
    code: string | null
  }
  drawdown: {
    id: Generated<number>
    batch_id: string
    at: string
    on_white: string
    on_black: string
    difference: number
    verdict: 'read' | 'accepted' | 'refused'
    who: string
  }
}
