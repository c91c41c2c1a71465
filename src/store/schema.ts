import type { ColumnType } from 'kysely'
import type {
  DryerHeat,
  Emulsion,
  Fabric,
  FlashKind,
  FlashMount,
  FlashUnit,
  Frame,
  FrameState,
  Lamp,
  Medium,
  Press,
  ShopPart,
  Squeegee,
  Step,
} from '@/core/equipment'
import type { Cloth, InkColour, Weave, Where } from '@/core/order'
import type { AtPressTables } from './schemaAtPress'
import type { InkTables } from './schemaOfInk'
import type { OrderTables } from './schemaOfOrders'

/** Columns that must hold one of a few words are checked by the database; quantities are SI. */
export interface Tables extends InkTables, AtPressTables, OrderTables {
  shop: {
    id: 1
    name: string
    /** `1,2,3,4,5` */
    days: string
    opens: number
    closes: number
    /** How warm and damp it is, as said on a day. */
    air_on: string | null
    air: number | null
    air_humidity: number | null
    /** Seconds; none where what is usual is planned. */
    setup_per_screen: number | null
    lead_days: number
    /** `2,5`; none for any day. */
    goes_out: string | null
    units: 'metric' | 'inch'
    inches: 'decimals' | null
    day_order: 'monthFirst' | 'yearFirst' | null
    week_from: 'sunday' | null
  }
  /** What was decided of the days; `kept` is JSON. */
  day_plan: { id: 1; version: number; kept: string }
  /** How often each part of the shop was saved. */
  shop_part: { part: ShopPart; version: number }
  pause: { place: number; begins: number; ends: number }
  own_hours: { place: number; day: number; opens: number; closes: number }
  day_off: { place: number; on_day: string; closes: number | null }
  press_hours: { press_id: string; place: number; opens: number; closes: number }
  /** `presses` is JSON, a list of ids; empty for all. */
  person: { id: string; place: number; name: string; presses: string }
  /** `presses` is JSON, a list of ids; empty for all. */
  shared_pallets: { id: string; place: number; name: string; where_on: Where; sets: number; presses: string }
  person_away: { person_id: string; place: number; first_day: string; last_day: string }
  method: { practice: string; option: string }
  press: {
    id: string
    place: number
    name: string
    kind: 'bench' | 'single' | 'manual' | 'automatic'
    pallet_width: number
    pallet_height: number
    pallet_material: Press['palletMaterial']
    heads: number | null
    pallets: number | null
    frame_width: number | null
    frame_height: number | null
  }
  station: { press_id: string; number: number; usable: number; flash_allowed: number }
  /** What the words for pressure come to at a press: turns, or pascal. */
  pressure_note: {
    press_id: string
    scale: 'turns' | 'air'
    light: number
    medium: number
    firm: number
  }
  flash_unit: {
    id: string
    place: number
    name: string
    kind: FlashKind
    press_id: string
    takes: ColumnType<number, number | undefined, number>
    station: number | null
    mount: FlashMount | null
    side: FlashUnit['side'] | null
    suits: FlashUnit['suits'] | null
    /** JSON. */
    calibration: string | null
  }
  dryer: {
    id: string
    place: number
    name: string
    heated_length: number
    belt_width: number
    heat: DryerHeat | null
    /** JSON. */
    calibration: string | null
  }
  frame: {
    id: string
    place: number
    width: number
    height: number
    mesh: number
    tension: number
    state: FrameState
    standing: Frame['standing'] | null
  }
  frame_mounted: { frame_id: string; press_id: string; head: number }
  tension_reading: { frame_id: string; place: number; on_day: string; tension: number }
  stencil: {
    frame_id: string
    order_id: string
    print_id: string
    hit_id: string
    words: string
    emulsion_id: string
    coats: number
    hardens: number
  }
  stencil_step: { frame_id: string; place: number; step: Step; at: string }
  screen_room: {
    id: 1
    humidity: number
    frame_to_pallet: number
    collar_line: number
    least_tension: number
    most_tension: number
    medium: Medium | null
    /** Screens that can dry at a time. */
    racks: number | null
  }
  fabric: { place: number; count: number; thread: number; thickness: number; dyed: Fabric['dyed'] }
  emulsion: {
    id: string
    place: number
    name: string
    kind: Emulsion['kind']
    water: Emulsion['water']
    build: number
    mixed_on: string | null
    keeps: number | null
  }
  lamp: { id: string; place: number; name: string; kind: Lamp['kind']; distance: number }
  step_test: {
    id: string
    place: number
    on_day: string
    lamp_id: string
    emulsion_id: string
    mesh: number
    coats: number
    distance: number
    time: number
    low: number
    high: number
    medium: Medium | null
  }
  squeegee: { id: string; place: number; hardness: string; length: number; edge: Squeegee['edge'] }
  ink: {
    id: string
    place: number
    name: string
    hex: string
    ink_type: InkColour['inkType']
    opacity: InkColour['opacity']
    system: string
    can: string | null
  }
  cloth: ClothColumns & { place: number }
  price: {
    id: 1
    press_hour: number
    person_hour: number
    screen: number
    ink: number
    garment: number
  }
  colour_limits: {
    id: 1
    match_up_to: number
    visible_up_to: number
    accept: number
    again: number
    white: number
    laid: number
  }
  /** `characterisation` is JSON: readings come whole. */
  base_ink: {
    code: string
    place: number
    name: string
    system: string
    cost: number
    density: number
    characterisation: string
  }
  formula: { id: string; place: number; name: string; system: string; l: number; a: number; b: number }
  formula_part: { formula_id: string; place: number; code: string; share: number }
  film: {
    order_id: string
    placement_id: string
    id: string
    place: number
    ink: string
    name: string
    hash: string
    page: number
    across: number
    down: number
    dpi: number | null
    raster: number
    negative: number | null
    opaque: number | null
    screened: number | null
    turn: string | null
    aside: number | null
    /** Places as JSON. */
    kept: string | null
  }
  /** What was read off the films of a print, as long as `stamp` names them. */
  film_reading: { order_id: string; placement_id: string; stamp: string; facts: string }
  run: { id: string; order_id: string; version: ColumnType<number, number | undefined, number> }
  decision: {
    run_id: string
    kind: 'override' | 'practice' | 'order'
    key: string
    number: number | null
    word: string | null
  }
  revision: RevisionColumns
  /** The day on which was tidied up last. */
  tidied: { id: 1; on_day: string }
  /** What was asked for with an id and is done; `answer` is JSON. */
  done: { id: string; at: string; answer: string }
  /** What lists show of a run's plan, kept as long as `stamp` names the facts it was computed from. */
  run_summary: { run_id: string; stamp: string; facts: string }
}

/** What was released, whole; never edited. `frozen` is JSON. */
interface RevisionColumns {
  run_id: string
  number: number
  code: string
  released_at: string
  frozen: string
}

interface ClothColumns {
  name: string
  hex: string
  weave: Weave
  cotton: number
  polyester: number
  weight: number
  elastane: number | null
  dye: Cloth['dye'] | null
}
