'use server'

import { revalidatePath } from 'next/cache'
import type { Change } from '@/core/change'
import { diskProblem } from '@/store/problems'
import { applied } from './apply'
import type { Edited } from './edited'

export type Applied = { readonly ok: true } | { readonly ok: false; readonly message: string }

const MOVED_ON: Applied = {
  ok: false,
  message: 'Someone else has changed this since, so it stays as it is now.',
}

/** Makes changes to what they were made to before: for undo and redo. What has moved on since is left alone. */
export async function applyChanges(edited: Edited, changes: readonly Change[]): Promise<Applied> {
  try {
    const ok = await applied(edited, changes)
    revalidatePath('/', 'layout')
    return ok ? { ok } : MOVED_ON
  } catch (error) {
    const message = diskProblem(error)
    if (message === undefined) throw error
    return { ok: false, message }
  }
}
