import { group } from 'd3-array'
import type { Frame } from '@/core/equipment'
import { bare, placed, type StoredPart } from './part'

/** Frames with their tension, the stencil they carry and where they are mounted. */
export const frames: StoredPart<'frames'> = {
  read: async (db) => {
    const [rows, mounted, readings, stencils, steps] = await Promise.all([
      db.selectFrom('frame').selectAll().orderBy('place').execute(),
      db.selectFrom('frame_mounted').selectAll().execute(),
      db.selectFrom('tension_reading').selectAll().orderBy('place').execute(),
      db.selectFrom('stencil').selectAll().execute(),
      db.selectFrom('stencil_step').selectAll().orderBy('place').execute(),
    ])
    const [readingsOf, stepsOf] = [group(readings, (r) => r.frame_id), group(steps, (s) => s.frame_id)]
    return {
      shop: {
        frames: rows.map((f): Frame => {
          const s = stencils.find((x) => x.frame_id === f.id)
          const at = mounted.find((h) => h.frame_id === f.id)
          const stencil = s && {
            order: s.order_id,
            print: s.print_id,
            hit: s.hit_id,
            words: s.words,
            emulsionId: s.emulsion_id,
            coats: s.coats,
            ...(s.hardens === 1 && { hardens: true }),
            done: (stepsOf.get(f.id) ?? []).map(({ step, at }) => ({ step, at })),
          }
          const { standing, ...plain } = bare(f)
          return {
            ...plain,
            ...(standing && { standing }),
            readings: (readingsOf.get(f.id) ?? []).map((r) => ({ on: r.on_day, tension: r.tension })),
            ...(stencil && { stencil }),
            ...(at && { mounted: { pressId: at.press_id, head: at.head } }),
          }
        }),
      },
    }
  },
  rows: ({ shop: { frames } }) => {
    const carried = frames.flatMap(({ id, stencil }) => (stencil ? [{ id, stencil }] : []))
    return {
      frame: placed(frames).map(({ readings: _, stencil: __, mounted: ___, standing, ...f }) => ({
        ...f,
        standing: standing ?? null,
      })),
      frame_mounted: frames.flatMap(({ id, mounted }) =>
        mounted ? [{ frame_id: id, press_id: mounted.pressId, head: mounted.head }] : [],
      ),
      tension_reading: frames.flatMap((f) =>
        f.readings.map(({ on, tension }, place) => ({ frame_id: f.id, place, on_day: on, tension })),
      ),
      stencil: carried.map(({ id, stencil: s }) => ({
        frame_id: id,
        order_id: s.order,
        print_id: s.print,
        hit_id: s.hit,
        words: s.words,
        emulsion_id: s.emulsionId,
        coats: s.coats,
        hardens: Number(s.hardens ?? false),
      })),
      stencil_step: carried.flatMap(({ id, stencil }) =>
        stencil.done.map((d, place) => ({ frame_id: id, place, ...d })),
      ),
    }
  },
}
