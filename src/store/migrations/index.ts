import type { Kysely } from 'kysely'
import { up as shopAndOrders } from './001_shop_and_orders'
import { up as films } from './002_films'
import { up as screens } from './003_screens'
import { up as inkRoom } from './004_ink_room'
import { up as weighed } from './005_weighed'
import { up as prices } from './006_prices'
import { up as atThePress } from './007_at_the_press'
import { up as onceAndEnded } from './008_once_and_ended'
import { up as shopInParts } from './009_shop_in_parts'
import { up as tradeWords } from './010_trade_words'
import { up as inkIssued } from './011_ink_issued'
import { up as tensionRange } from './012_tension_range'
import { up as whiteLook } from './013_white_look'
import { up as choke } from './014_choke'
import { up as filmSaid } from './015_film_said'
import { up as heat } from './016_heat'
import { up as calibration } from './017_calibration'
import { up as air } from './018_air'
import { up as headLock } from './019_head_lock'
import { up as headSetup } from './020_head_setup'
import { up as headTurn } from './021_head_turn'
import { up as pressEvent } from './022_press_event'
import { up as record } from './023_record'
import { up as everyday } from './024_everyday'
import { up as progress } from './025_progress'
import { up as writing } from './026_writing'
import { up as over } from './027_over'
import { up as facts } from './028_facts'
import { up as trouble } from './029_trouble'
import { up as days } from './030_days'
import { up as people } from './031_people'
import { up as shared } from './032_shared'

/** Every step from the first version on, in order. */
export const MIGRATIONS: Readonly<Record<string, { readonly up: (db: Kysely<unknown>) => Promise<void> }>> = {
  '001_shop_and_orders': { up: shopAndOrders },
  '002_films': { up: films },
  '003_screens': { up: screens },
  '004_ink_room': { up: inkRoom },
  '005_weighed': { up: weighed },
  '006_prices': { up: prices },
  '007_at_the_press': { up: atThePress },
  '008_once_and_ended': { up: onceAndEnded },
  '009_shop_in_parts': { up: shopInParts },
  '010_trade_words': { up: tradeWords },
  '011_ink_issued': { up: inkIssued },
  '012_tension_range': { up: tensionRange },
  '013_white_look': { up: whiteLook },
  '014_choke': { up: choke },
  '015_film_said': { up: filmSaid },
  '016_heat': { up: heat },
  '017_calibration': { up: calibration },
  '018_air': { up: air },
  '019_head_lock': { up: headLock },
  '020_head_setup': { up: headSetup },
  '021_head_turn': { up: headTurn },
  '022_press_event': { up: pressEvent },
  '023_record': { up: record },
  '024_everyday': { up: everyday },
  '025_progress': { up: progress },
  '026_writing': { up: writing },
  '027_over': { up: over },
  '028_facts': { up: facts },
  '029_trouble': { up: trouble },
  '030_days': { up: days },
  '031_people': { up: people },
  '032_shared': { up: shared },
}
