import { because, q, type Reason, ruleTable } from '../advice'
import { type Frame, freeFrames, type Shop } from '../equipment'
import { type Length, type MeshCount, mm } from '../quantity'

export const FRAME_RULES = ruleTable({
  FRAMES_SHORT: {
    says: '{need} screens at {mesh} are wanted and {have} clean frames have it: too few.',
    source: 'geometry',
    severity: 'Stop',
  },
  FRAME_SMALL: {
    says: 'A print of {width} x {height} leaves less than {margin} to the frame: the mesh does not give evenly.',
    source: 'common practice',
    severity: 'Watch',
  },
  TENSION_SPREAD: {
    says: 'The frames differ by {spread} in tension: over 3 N/cm they register badly against each other.',
    source: 'from memory',
    severity: 'Watch',
  },
  TENSION_BEST: { says: 'Clean frames of this mesh, tightest first.', source: 'common practice' },
})

const FRAME_WALL = mm(30)
const MARGIN = mm(50)
const SPREAD = 300

/** Frames for a job, one for each wanted mesh, in order; `undefined` where none is left. */
export interface FrameAllocation {
  readonly frames: readonly (Frame | undefined)[]
  readonly reasons: readonly Reason[]
}

/**
 * Picks clean frames for the wanted meshes, tightest first, and says what is short.
 *
 * @param width of the print in metres
 * @param height of the print in metres
 */
export function allocateFrames(
  shop: Shop,
  wanted: readonly MeshCount[],
  width: Length,
  height: Length,
): FrameAllocation {
  const left = [...freeFrames(shop)].sort((a, b) => b.tension - a.tension || a.id.localeCompare(b.id))
  const same = (a: MeshCount, b: MeshCount) => Math.abs(a - b) < 1
  const frames = wanted.map((mesh) => {
    const at = left.findIndex((f) => same(f.mesh, mesh))
    return at < 0 ? undefined : left.splice(at, 1)[0]
  })
  const reasons: Reason[] = []
  for (const mesh of new Set(wanted)) {
    const need = wanted.filter((m) => same(m, mesh)).length
    const have = freeFrames(shop).filter((f) => same(f.mesh, mesh)).length
    if (need > have)
      reasons.push(
        because(FRAME_RULES, 'FRAMES_SHORT', {
          need: q('count', need),
          mesh: q('meshCount', mesh),
          have: q('count', have),
        }),
      )
  }
  const found = frames.filter((f) => f !== undefined)
  const tight = found.some((f) => {
    const room = 2 * (FRAME_WALL + MARGIN)
    return width > f.width - room || height > f.height - room
  })
  if (tight)
    reasons.push(
      because(FRAME_RULES, 'FRAME_SMALL', {
        width: q('length', width),
        height: q('length', height),
        margin: q('length', MARGIN),
      }),
    )
  const tensions = found.map((f) => f.tension)
  const spread = tensions.length > 0 ? Math.max(...tensions) - Math.min(...tensions) : 0
  if (spread > SPREAD) reasons.push(because(FRAME_RULES, 'TENSION_SPREAD', { spread: q('tension', spread) }))
  return { frames, reasons: reasons.length > 0 ? reasons : [because(FRAME_RULES, 'TENSION_BEST')] }
}
