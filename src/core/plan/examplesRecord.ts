import { type Inputs, q } from '../advice'
import { count, work } from './exampleQuantities'

const hourly = (pieces: number) => q('rate', pieces / 3600)
/** Of rules of the record. */
export const RECORD_EXAMPLES: Readonly<Record<string, Inputs>> = {
  ROUND_CHECK: { pieces: count(48) },
  ROUND_TACK: { each: count(5), pallets: count(6) },
  ALARM_POT: { name: 'Soft sea green', time: work(95), pot: work(90) },
  ALARM_IDLE: { name: 'Soft sea green', time: work(6) },
  ALARM_DWELL: { name: 'Base white', from: count(41), dwell: q('duration', 5.2) },
  RECORD_TIME: { planned: work(39), took: work(46) },
  RECORD_PACE: { planned: hourly(120), was: hourly(104), pieces: count(147), took: work(85) },
  RECORD_GAP: { time: work(14), low: hourly(104), high: hourly(124) },
  FILM_COARSE_DOTS: { dpi: count(200), levels: count(14), wanted: count(600) },
  FILM_LOW: { dpi: count(150), step: q('fine', 0.00017) },
  UNUSUAL: { low: q('tension', 1500), high: q('tension', 4500) },
  SETUP_OWN: { screens: count(6), each: work(8) },
}
