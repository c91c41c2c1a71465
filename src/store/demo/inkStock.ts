import { format, subDays, subMinutes } from 'date-fns'
import { BANDS, difference, labOf, layered } from '@/core/color'
import { USUAL_SMEAR } from '@/core/equipment'
import { BLACK_CARD, mixed, POT_LIFE, partsOf, WHITE_CARD } from '@/core/ink'
import type { Database } from '../database'
import { addDrawdown, beginBatch, finishMix, loadBatch, moveInk, pour, receiveCans } from '../inkRoom'
import { DEMO_INK_ROOM } from './inkRoom'

const at = (moment: Date) => format(moment, "yyyy-MM-dd'T'HH:mm")

/** Codes of which a can is open, with kg left; of the others there is a closed one. */
const OPEN: Readonly<Record<string, number>> = {
  W1: 3.4,
  X1: 2.1,
  Y2: 0.64,
  O1: 0.38,
  R1: 0.9,
  B2: 0.52,
  K1: 0.71,
  V1: 0.12,
  'Q-W': 1.4,
  'Q-X': 2.2,
  'Q-O': 0.3,
  'Q-B': 0.4,
  'Q-G': 0.25,
}

/** What the ink room holds on a working day: cans, a tub that was accepted, one that runs out of time, one begun. */
export async function seedInk(db: Database, now: Date): Promise<void> {
  const cans = new Map<string, string>()
  for (const [i, { code }] of DEMO_INK_ROOM.rack.entries()) {
    const open = OPEN[code]
    const lot = `${26 + (i % 3)}-${String(140 + 17 * i).padStart(4, '0')}`
    const mass = open === undefined ? 1 : open + 1
    const opened = open === undefined ? undefined : at(subDays(now, 97 + i))
    const [id = ''] = await receiveCans(db, [{ code, lot, mass, opened }], at(subDays(now, 140)))
    cans.set(code, id)
  }
  const mixing = async (name: string, mass: number, when: Date, runId: string, hitId: string, parts = 99) => {
    const formula = DEMO_INK_ROOM.formulas.find((f) => f.name === name)
    if (!formula) throw new Error(`no formula of ${name}`)
    const { id: _, ...batch } = formula
    const id = await beginBatch(db, { ...batch, runId, hitId, wanted: mass }, at(when))
    for (const { code, share } of formula.parts.slice(0, parts))
      await pour(
        db,
        { batchId: id, canId: cans.get(code) ?? '', mass: Number((share * mass).toFixed(4)) },
        at(when),
      )
    return id
  }
  const accepted = async (id: string, when: Date, keeps: boolean, thin = 0.9) => {
    const expires = keeps ? undefined : at(subMinutes(when, -POT_LIFE / 60))
    await finishMix(db, id, at(when), expires)
    const batch = await loadBatch(db, id)
    const inks = batch && partsOf(batch.parts, DEMO_INK_ROOM.rack)
    if (!batch || !inks) throw new Error('nothing to draw down')
    // Drawn a little thin, as hands do.
    const layer = { optics: mixed(inks), thickness: thin * USUAL_SMEAR }
    const over = (card: number) =>
      layered(
        [layer],
        BANDS.map(() => card),
      )
    const smear = { onWhite: over(WHITE_CARD), onBlack: over(BLACK_CARD) }
    const off = difference(labOf(smear.onWhite), batch.target)
    await addDrawdown(db, id, { at: at(when), ...smear, difference: off, verdict: 'accepted', who: 'Ida' })
  }
  // Mixed before and used up: what the next one is held to.
  for (const [ago, mass, thin] of [
    [96, 0.6, 0.97],
    [41, 0.45, 0.82],
  ] as const) {
    const when = subDays(now, ago)
    const id = await mixing('Comet blue', mass, when, '', '')
    await accepted(id, when, true, thin)
    const { mass: in_ = 0 } = (await loadBatch(db, id)) ?? {}
    await moveInk(db, { batchId: id, mass: -in_, kind: 'used', note: 'printed' }, at(when))
  }
  await accepted(
    await mixing('Comet blue', 0.52, subDays(now, 2), 'R-1003-P1-dark', 'I4'),
    subDays(now, 2),
    true,
  )
  const soon = subMinutes(now, 75)
  await accepted(await mixing('Soft sea green', 0.34, soon, 'R-1008-P1-light', 'I2'), soon, false)
  await mixing('Moon yellow', 0.4, now, 'R-1001-P1-dark', 'I1', 1)
}
