import { type DayScreen, type ShopDays, screensKey } from '../days'
import type { Shop } from '../equipment'
import { stepsOf, stepTime } from '../schedule'
import { type RoomLine, roomLines, type ScreenJob } from './screenRoom'

/** How far the screens of every print are, by order and print. */
export function dayScreens(jobs: readonly ScreenJob[], shop: Shop): ShopDays['screens'] {
  const found: Record<string, DayScreen[]> = {}
  for (const line of roomLines(jobs, shop)) {
    const key = screensKey({ orderId: line.job.orderId, print: line.job.print })
    const hangsAt = line.next === undefined ? line.frame?.mounted?.pressId : undefined
    found[key] ??= []
    found[key].push({
      mesh: line.frame?.mesh ?? line.screen.mesh,
      left: line.frame?.stencil ? leftOf(line, shop) : undefined,
      ...(hangsAt !== undefined && { hangsAt }),
    })
  }
  return found
}

/** Seconds of work and drying that a screen still wants; hanging it is part of the set-up. */
function leftOf({ next, screen }: RoomLine, { screens }: Shop): number {
  if (next === undefined) return 0
  const steps = stepsOf(screen).filter((s) => s !== 'mount')
  const from = steps.indexOf(next as (typeof steps)[number])
  return from < 0 ? 0 : steps.slice(from).reduce((sum, s) => sum + stepTime(s, screens.humidity, screen), 0)
}
