import type { ChildProcess, SpawnOptions } from 'node:child_process'

export function freePort(): Promise<number>
export function seed(folder: string, films?: boolean): void
export function ready(base: string, server: ChildProcess): Promise<void>
export function startServer(
  folder: string,
  at: { readonly port: number; readonly host?: string; readonly allow?: readonly string[] },
  options?: SpawnOptions,
): ChildProcess
