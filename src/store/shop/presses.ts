import { flashCalibration, type Press, tunnelCalibration } from '@/core/equipment'
import { namesIn, placed, type Row, type StoredPart } from './part'
import type { Rows } from './write'

/** Presses with their stations and pressure, and the flashes, dryers and shared pallets that go with them. */
export const presses: StoredPart<'presses'> = {
  read: async (db) => {
    const [rows, stations, notes, flashes, dryers, shared] = await Promise.all([
      db.selectFrom('press').selectAll().orderBy('place').execute(),
      db.selectFrom('station').selectAll().orderBy('press_id').orderBy('number').execute(),
      db.selectFrom('pressure_note').selectAll().execute(),
      db.selectFrom('flash_unit').selectAll().orderBy('place').execute(),
      db.selectFrom('dryer').selectAll().orderBy('place').execute(),
      db.selectFrom('shared_pallets').selectAll().orderBy('place').execute(),
    ])
    return {
      shop: {
        presses: rows.map((p) =>
          pressOf(
            p,
            stations.filter((s) => s.press_id === p.id),
            notes.find((n) => n.press_id === p.id),
          ),
        ),
        flashes: flashes.map((f) => ({
          id: f.id,
          name: f.name,
          kind: f.kind,
          pressId: f.press_id,
          takes: f.takes,
          ...(f.station === null ? {} : { station: f.station }),
          ...(f.mount === null ? {} : { mount: f.mount }),
          ...(f.side && { side: f.side }),
          ...(f.suits && { suits: f.suits }),
          ...calibrationIn(f, flashCalibration),
        })),
        dryers: dryers.map((d) => ({
          id: d.id,
          name: d.name,
          heatedLength: d.heated_length,
          beltWidth: d.belt_width,
          ...(d.heat === null ? {} : { heat: d.heat }),
          ...calibrationIn(d, tunnelCalibration),
        })),
        ...(shared.length > 0 && {
          sharedPallets: shared.map(({ id, name, where_on: where, sets, presses }) => ({
            ...{ id, name, where, sets, presses: namesIn(presses) },
          })),
        }),
      },
    }
  },
  rows: ({ shop: { presses, flashes, dryers, sharedPallets = [] } }) => ({
    press: presses.map((p, place) => ({
      id: p.id,
      place,
      name: p.name,
      kind: p.kind,
      pallet_width: p.palletWidth,
      pallet_height: p.palletHeight,
      pallet_material: p.palletMaterial,
      heads: p.kind === 'manual' || p.kind === 'single' ? p.heads : null,
      pallets: p.kind === 'manual' ? p.pallets : null,
      frame_width: p.frameWidth ?? null,
      frame_height: p.frameHeight ?? null,
    })),
    station: presses.flatMap(stationsOf),
    pressure_note: presses.flatMap(({ id, pressure }) => (pressure ? [{ ...pressure, press_id: id }] : [])),
    flash_unit: placed(flashes).map(({ pressId, station, mount, side, suits, calibration, ...f }) => ({
      ...f,
      press_id: pressId,
      station: station ?? null,
      mount: mount ?? null,
      side: side ?? null,
      suits: suits ?? null,
      calibration: calibration ? JSON.stringify(calibration) : null,
    })),
    dryer: placed(dryers).map(({ heatedLength, beltWidth, heat, calibration, ...d }) => ({
      ...d,
      heat: heat ?? null,
      calibration: calibration ? JSON.stringify(calibration) : null,
      heated_length: heatedLength,
      belt_width: beltWidth,
    })),
    shared_pallets: placed(sharedPallets).map(({ where, presses, ...s }) => ({
      ...{ ...s, where_on: where, presses: JSON.stringify(presses) },
    })),
  }),
}

/** What was read at it; what is stored wrong is as if it was never read. */
function calibrationIn<T>(
  { calibration }: { readonly calibration: string | null },
  schema: { readonly validateSync: (value: unknown) => T | undefined },
): { readonly calibration?: T } {
  if (calibration === null) return {}
  try {
    const found = schema.validateSync(JSON.parse(calibration))
    return found === undefined ? {} : { calibration: found }
  } catch {
    return {}
  }
}

function pressOf(
  p: Row<'press'>,
  places: readonly Row<'station'>[],
  note: Row<'pressure_note'> | undefined,
): Press {
  const pressure = note && { scale: note.scale, light: note.light, medium: note.medium, firm: note.firm }
  const base = {
    id: p.id,
    name: p.name,
    palletWidth: p.pallet_width,
    palletHeight: p.pallet_height,
    palletMaterial: p.pallet_material,
    ...(pressure && { pressure }),
    ...(p.frame_width !== null && { frameWidth: p.frame_width }),
    ...(p.frame_height !== null && { frameHeight: p.frame_height }),
  }
  const down = places.filter((s) => s.usable === 0).map((s) => s.number)
  switch (p.kind) {
    case 'bench':
      return { ...base, kind: p.kind }
    case 'single':
      return { ...base, kind: p.kind, heads: p.heads ?? 1, down }
    case 'manual':
      return { ...base, kind: p.kind, heads: p.heads ?? 1, pallets: p.pallets ?? 1, down }
    case 'automatic':
      return {
        ...base,
        kind: p.kind,
        stations: places.map((s) => ({
          number: s.number,
          usable: s.usable === 1,
          flashAllowed: s.flash_allowed === 1,
        })),
      }
    default:
      return p.kind satisfies never
  }
}

/** Every station of an automatic; of other presses the heads that are down. */
function stationsOf(press: Press): NonNullable<Rows['station']> {
  const row = (number: number, usable: boolean, flash: boolean) => ({
    press_id: press.id,
    number,
    usable: Number(usable),
    flash_allowed: Number(flash),
  })
  switch (press.kind) {
    case 'automatic':
      return press.stations.map((s) => row(s.number, s.usable, s.flashAllowed))
    case 'manual':
    case 'single':
      return press.down.map((n) => row(n, false, false))
    case 'bench':
      return []
    default:
      return press satisfies never
  }
}
