import { type System, writeQuantity } from '../quantity'
import {
  CAME,
  CHANGED,
  JUDGES,
  PAUSED_BY,
  READINGS,
  SAMPLES,
  SET_BECAUSE,
  SPOILED_BY,
  type Stated,
  TACK,
  VERDICTS,
} from './event'

/** How hits, steps, settings and garments are called on this run; what nobody knows keeps its own name. */
export interface RecordNames {
  readonly hit: (id: string) => string
  readonly step: (id: string) => string
  readonly setting: (key: string) => string
  /** A setting's value in words. */
  readonly value: (key: string, value: number | string) => string
  readonly garment: (line: string) => string
  readonly alarm: (id: string) => string
  /** A symptom or a remedy of the tables of trouble. */
  readonly trouble: (id: string) => string
}

const joined = (...words: readonly (string | undefined | false)[]) => words.filter(Boolean).join(', ')
const signed = (n: number) => `${n > 0 ? '+' : ''}${n}`

/** What was said, in the words of the press. */
export function sayEvent(e: Stated, names: RecordNames, units: System): string {
  switch (e.kind) {
    case 'count':
      return `${signed(e.n)} ${joined(e.size, names.garment(e.line))} good${e.place === 'exit' ? ', behind the dryer' : ''}`
    case 'spoil':
      return `${signed(e.n)} ${joined(e.size, names.garment(e.line))} ${SPOILED_BY[e.cause].toLowerCase()}`
    case 'spare':
      return `${signed(e.n)} ${joined(e.size, names.garment(e.line))} spare`
    case 'packed':
      return `${signed(e.n)} ${joined(e.size, names.garment(e.line))} packed`
    case 'scrap':
      return `${signed(e.n)} scrap`
    case 'passed':
      return `${signed(e.n)} by the counter`
    case 'start':
      return 'Begun'
    case 'stop':
      return 'Ended'
    case 'go':
      return 'Going on'
    case 'pause':
      return `Stands: ${PAUSED_BY[e.cause].toLowerCase()}`
    case 'crew':
      return `${e.people} at the press`
    case 'tick':
      return joined(`Done: ${names.step(e.step)}`, names.hit(e.hit))
    case 'set':
      return `${names.setting(e.setting)} set to ${names.value(e.setting, e.value)}: ${SET_BECAUSE[e.why].toLowerCase()}`
    case 'read': {
      const { name, kind } = READINGS[e.what]
      return joined(`${name} ${writeQuantity(kind, e.value, units)}`, names.hit(e.hit))
    }
    case 'tack':
      return joined(`To the touch: ${TACK[e.word].toLowerCase()}`, names.hit(e.hit))
    case 'sample':
      return `${SAMPLES[e.of]}: ${VERDICTS[e.verdict].toLowerCase()} by the ${JUDGES[e.judge].toLowerCase()}${e.photos.length > 0 ? `, ${e.photos.length} ${e.photos.length === 1 ? 'picture' : 'pictures'}` : ''}`
    case 'ink':
      return joined(
        `Ink added${e.mass > 0 ? ` ${writeQuantity('mass', e.mass, units)}` : ''}`,
        names.hit(e.hit),
      )
    case 'weigh':
      return joined(`Left over ${writeQuantity('mass', e.mass, units)}`, names.hit(e.hit))
    case 'changed':
      return joined(`${CHANGED[e.part]} changed`, names.hit(e.hit))
    case 'down':
      return `Head ${e.head} is out of service`
    case 'tried':
      return joined(`${names.trouble(e.symptom)}: ${names.trouble(e.remedy).toLowerCase()}`, names.hit(e.hit))
    case 'came':
      return `${CAME[e.how]}: what was done about the trouble`
    case 'heard':
      return `Seen to: ${names.alarm(e.alarm)}`
    default:
      return e satisfies never
  }
}
