import { q, type Reason } from '../advice'
import { type Length, mm, type Share } from '../quantity'
import { SCREEN } from '../screen'

/** A small print that shares a screen, or a sheet of film, with others. */
export interface Ganged {
  readonly id: string
  readonly name: string
  readonly width: Length
  readonly height: Length
}

/** Where it lies: from the left and the top of what they lie on to its own left and top. */
export interface GangPlace extends Ganged {
  readonly x: Length
  readonly y: Length
  /** Turned by a quarter. */
  readonly turned: boolean
}

export interface Gang {
  readonly placed: readonly GangPlace[]
  readonly left: readonly Ganged[]
  /** Of the area, what the prints take. */
  readonly used: Share
  readonly reasons: readonly Reason[]
}

/** Between two prints: tape has to hold, and a blade to end (common practice: about 25 mm); on film, marks and a cut. */
export const GANG_GAPS = { screen: mm(50), film: mm(12) } as const

interface Area {
  readonly width: Length
  readonly height: Length
  readonly gap: Length
  /** Prints may be turned: on film, which is cut apart. On a screen all lie as the pallet does. */
  readonly turns: boolean
}

/**
 * Prints laid out in rows, the highest first, each in the first row that has room for it.
 *
 * @param area what can be printed of a screen or a sheet, metres
 */
export function gangOf(prints: readonly Ganged[], area: Area): Gang {
  const rows: { readonly y: Length; readonly height: Length; end: Length }[] = []
  const placed: GangPlace[] = []
  const left: Ganged[] = []
  const lies = (p: Ganged, turned: boolean) => ({
    width: turned ? p.height : p.width,
    height: turned ? p.width : p.height,
  })
  /** A place in a row, or in a new one under the last. */
  const place = (p: Ganged, turned: boolean): GangPlace | undefined => {
    const { width, height } = lies(p, turned)
    const found = rows.find((r) => height <= r.height + 1e-9 && r.end + width <= area.width + 1e-9)
    if (found) {
      const x = found.end
      found.end += width + area.gap
      return { ...p, x, y: found.y, turned }
    }
    const last = rows.at(-1)
    const y = last ? last.y + last.height + area.gap : 0
    if (width > area.width + 1e-9 || y + height > area.height + 1e-9) return undefined
    rows.push({ y, height, end: width + area.gap })
    return { ...p, x: 0, y, turned }
  }
  const high = (p: Ganged) => (area.turns ? Math.min(p.width, p.height) : p.height)
  for (const p of [...prints].sort((a, b) => high(b) - high(a))) {
    const flat = area.turns && p.height > p.width
    const at = place(p, flat) ?? (area.turns ? place(p, !flat) : undefined)
    if (at) placed.push(at)
    else left.push(p)
  }
  const taken = placed.reduce((sum, p) => sum + p.width * p.height, 0)
  return {
    placed,
    left,
    used: taken / (area.width * area.height),
    reasons: [
      SCREEN.because(area.turns ? 'GANG_FILM' : 'GANG_SCREEN', {
        count: q('count', placed.length),
        gap: q('length', area.gap),
      }),
      ...(left.length > 0
        ? [SCREEN.because('GANG_LEFT', { names: left.map((p) => p.name).join(', ') })]
        : []),
    ],
  }
}
