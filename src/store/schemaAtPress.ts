import type { Generated } from 'kysely'
import type { StrokeUse } from '@/core/equipment'

/** What was found and done at the press. */
export interface AtPressTables {
  approved: {
    id: string
    place: number
    found_on: string
    words: string
    press_id: string
    use: StrokeUse
    mesh: number
    dark_cloth: number
    dries_in_screen: number
    fleece: number
    squeegee: string
    edge: string
    angle: number
    pressure: string
    gauge: number | null
    time: number
    strokes: number
    flood: string
    off_contact: number
  }
  /** How far a screen moved when its head was locked. */
  head_lock: {
    id: Generated<number>
    press_id: string
    head: number
    at: string
    dx: number
    dy: number
    turn: number
  }
  /** What was said while a run was printed; `said` is JSON. */
  press_event: {
    place: Generated<number>
    id: string
    run_id: string
    pad: string
    seq: number
    at: string
    said: string
  }
  /** What the shop does otherwise in a list of the craft. */
  own_step: { step: string; place: number; name: string; good: string; off: number }
  /** A number of the tables of trouble that the shop has set itself. */
  own_trouble: { row: string; place: number; value: number }
  /** What came of a run, with the stamp of what it was worked out of; `facts` is JSON. */
  run_account: { run_id: string; stamp: string; facts: string }
  /** What turns of the knobs of a head did. */
  head_turn: {
    id: Generated<number>
    press_id: string
    head: number
    at: string
    left: number
    right: number
    side: number
    back: number
    x: number
    y: number
    dx: number
    dy: number
    turn: number
  }
}
