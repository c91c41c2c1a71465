import { messageOf } from '@/core/quantity'

const HOUR = 3_600_000

/** Starts with the server: what is done by itself, once an hour. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { database } = await import('./store/database')
  const { backUpNightly, sweepHalfMade } = await import('./store/backup')
  const { forgetDone } = await import('./store/once')
  const { renewPlans } = await import('./app/planning')
  const { forgetDeleted } = await import('./store/orders')
  const { diskProblem } = await import('./store/problems')
  const tidy = async () => {
    try {
      const db = await database()
      await forgetDeleted(db, new Date())
      await forgetDone(db, new Date())
      await backUpNightly(db, new Date())
    } catch (error) {
      console.error(`The nightly backup could not be made: ${diskProblem(error) ?? messageOf(error)}`)
    }
  }
  setInterval(tidy, HOUR).unref()
  await sweepHalfMade()
  await tidy()
  // Lists are whole before the first one looks.
  void database().then(renewPlans, () => undefined)
}
