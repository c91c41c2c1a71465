import { q, type Reason } from '../advice'
import { type Frame, freeFrames, type Press, type Shop, type Stencil } from '../equipment'
import type { Length, MeshCount } from '../quantity'
import { SCREEN } from './definition'
import { fits, holds, ROOM, sizesIn, sizeTaken } from './frameSize'
import { slackFrames } from './tension'

const SPREAD = 300

/** Frames for a job, one for each screen, in order; `undefined` where none is left. */
export interface FrameAllocation {
  readonly frames: readonly (Frame | undefined)[]
  readonly reasons: readonly Reason[]
}

/** A screen that wants a frame. */
export interface FrameNeed {
  readonly hitId: string
  readonly name: string
  readonly mesh: MeshCount
}

/** Whose screens they are. */
export interface FrameJob {
  readonly orderId: string
  readonly print: string
  /** Customer and job, as stencils carry them. */
  readonly words: string
  /** Print size in metres. */
  readonly width: Length
  readonly height: Length
  /** Where they are mounted. */
  readonly press?: Pick<Press, 'name' | 'frameWidth' | 'frameHeight'> | undefined
}

/** How a stencil is called once its order is gone. */
export const stencilWords = (job: string, name: string): string => `${job}: ${name}`

/** The job a stencil was made for. */
const jobOf = (words: string): string => words.replace(/: [^:]*$/, '')

const same = (a: MeshCount, b: MeshCount) => Math.abs(a - b) < 1

const isOf = (s: Stencil, { orderId, print }: Pick<FrameJob, 'orderId' | 'print'>, hitId: string): boolean =>
  s.order === orderId && s.print === print && s.hit === hitId

/** The frame that carries the very stencil already, or the tool of the shop that is kept for it. */
export const carryingFrame = (
  { frames }: Pick<Shop, 'frames'>,
  job: Pick<FrameJob, 'orderId' | 'print'>,
  hitId: string,
): Frame | undefined =>
  frames.find(
    (f) =>
      f.state !== 'retired' &&
      (f.standing === undefined ? f.stencil && isOf(f.stencil, job, hitId) : f.standing === hitId),
  )

/** The tension about which the free frames of the wanted meshes lie closest: the job registers best with these. */
function bestTension(free: readonly Frame[], wanted: readonly FrameNeed[], fixed: readonly Frame[]): number {
  const spreadAbout = (tension: number) => {
    const left = [...free]
    let worst = Math.max(0, ...fixed.map((f) => Math.abs(f.tension - tension)))
    for (const { mesh } of wanted) {
      const frame = takeNearest(left, mesh, tension)
      if (frame) worst = Math.max(worst, Math.abs(frame.tension - tension))
    }
    return worst
  }
  const tensions = [...new Set([...free, ...fixed].map((f) => f.tension))].sort((a, b) => b - a)
  return tensions.reduce((a, b) => (spreadAbout(b) < spreadAbout(a) - 1e-9 ? b : a), tensions[0] ?? 0)
}

/** Takes the frame of this mesh that is nearest in tension out of those left. */
function takeNearest(left: Frame[], mesh: MeshCount, tension: number): Frame | undefined {
  let at = -1
  for (const [i, f] of left.entries()) {
    if (!same(f.mesh, mesh)) continue
    const best = left[at]
    if (!best || Math.abs(f.tension - tension) < Math.abs(best.tension - tension)) at = i
  }
  return at < 0 ? undefined : left.splice(at, 1)[0]
}

/**
 * Frames for the screens of a job: one that carries the very stencil first, then clean ones that lie closest in tension.
 * Frames with other jobs' stencils are not taken; who holds them is said.
 */
export function allocateFrames(shop: Shop, job: FrameJob, wanted: readonly FrameNeed[]): FrameAllocation {
  const carries = (hitId: string) => carryingFrame(shop, job, hitId)
  const own = new Map(wanted.map((w) => [w.hitId, carries(w.hitId)]))
  const open = wanted.filter((w) => !own.get(w.hitId))
  const held = [...own.values()].filter((f) => f !== undefined)
  const taken = sizeTaken(freeFrames(shop), job, held, (frames) => framesMissing(frames, open))
  const left = [...taken].sort((a, b) => a.id.localeCompare(b.id))
  const tension = bestTension(left, open, held)
  const frames = wanted.map((w) => own.get(w.hitId) ?? takeNearest(left, w.mesh, tension))
  const reasons = [
    ...wanted.flatMap(({ hitId, name }) => {
      const frame = own.get(hitId)
      if (!frame) return []
      const rule = frame.standing ? 'FRAME_STANDING' : 'FRAME_CARRIES'
      return [SCREEN.because(rule, { frame: frame.id, name })]
    }),
    ...open.flatMap(({ name }) => {
      const old = shop.frames.find(
        (f) =>
          f.stencil && f.stencil.order !== job.orderId && f.stencil.words === stencilWords(job.words, name),
      )
      const words = old?.stencil?.words ?? ''
      return old ? [SCREEN.because('FRAME_OLD', { name, frame: old.id, words })] : []
    }),
    ...shortages(shop, job, open),
  ]
  const found = frames.filter((f) => f !== undefined)
  reasons.push(...sizeReasons(found, job, freeFrames(shop)))
  const tensions = found.map((f) => f.tension)
  const spread = tensions.length > 0 ? Math.max(...tensions) - Math.min(...tensions) : 0
  reasons.push(...slackFrames(found, shop.screens))
  if (spread > SPREAD) reasons.push(SCREEN.because('TENSION_SPREAD', { spread: q('tension', spread) }))
  return { frames, reasons: reasons.length > 0 ? reasons : [SCREEN.because('TENSION_BEST')] }
}

/** Screens for which frames have none of their mesh. */
export function framesMissing(frames: readonly Frame[], wanted: readonly Pick<FrameNeed, 'mesh'>[]): number {
  const left = [...frames]
  return wanted.filter(({ mesh }) => !takeNearest(left, mesh, 0)).length
}

/** What is to be said of the sizes of the frames that a job gets. */
function sizeReasons(found: readonly Frame[], job: FrameJob, free: readonly Frame[]): readonly Reason[] {
  const [first] = found
  if (!first) return []
  const sizes = sizesIn(found)
  const print = { width: q('length', job.width), height: q('length', job.height) }
  const { frameWidth, frameHeight, name = '' } = job.press ?? {}
  return [
    ...(sizes.length > 1 ? [SCREEN.because('FRAME_SIZES', { sizes: q('count', sizes.length) })] : []),
    ...(sizes.length === 1 && sizesIn(free).length > 1 && holds(first, job)
      ? [
          SCREEN.because('FRAME_SIZE', {
            width: q('length', first.width),
            height: q('length', first.height),
            margin: q('length', ROOM),
          }),
        ]
      : []),
    ...(found.every((f) => holds(f, job))
      ? []
      : [SCREEN.because('FRAME_SMALL', { ...print, margin: q('length', ROOM) })]),
    ...(found.some((f) => !fits(f, job))
      ? [
          SCREEN.because('FRAME_PRESS', {
            press: name,
            width: q('length', frameWidth ?? first.width),
            height: q('length', frameHeight ?? first.height),
          }),
        ]
      : []),
  ]
}

/** Meshes of which too few frames are clean, and which jobs hold the others. */
function shortages(shop: Shop, job: FrameJob, open: readonly FrameNeed[]): readonly Reason[] {
  return [...new Set(open.map((w) => w.mesh))].flatMap((mesh) => {
    const need = open.filter((w) => same(w.mesh, mesh)).length
    const have = freeFrames(shop).filter((f) => same(f.mesh, mesh)).length
    if (need <= have) return []
    const others = shop.frames.filter(
      (f) =>
        same(f.mesh, mesh) &&
        f.stencil &&
        !(f.stencil.order === job.orderId && f.stencil.print === job.print),
    )
    const short = SCREEN.because('FRAMES_SHORT', {
      need: q('count', need),
      mesh: q('meshCount', mesh),
      have: q('count', have),
    })
    if (others.length === 0) return [short]
    const heldBy = SCREEN.because('FRAME_HELD', {
      frames: others.map((f) => f.id).join(', '),
      mesh: q('meshCount', mesh),
      carry: others.length === 1 ? 'carries' : 'carry',
      jobs: [...new Set(others.map((f) => jobOf(f.stencil?.words ?? '')))].join('; '),
    })
    return [short, heldBy]
  })
}
