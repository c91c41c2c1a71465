'use server'

import { revalidatePath } from 'next/cache'
import { backUp, restore } from '@/store/backup'
import { database } from '@/store/database'
import { diskProblem } from '@/store/problems'

export type Done = { readonly ok: true } | { readonly ok: false; readonly message: string }

async function attempt(act: () => Promise<unknown>): Promise<Done> {
  try {
    await act()
    revalidatePath('/', 'layout')
    return { ok: true }
  } catch (error) {
    return { ok: false, message: diskProblem(error) ?? (error as Error).message }
  }
}

export async function backUpNow(): Promise<Done> {
  return attempt(async () => backUp(await database(), new Date()))
}

export async function restoreBackup(name: string): Promise<Done> {
  return attempt(async () => restore(await database(), name, new Date()))
}
