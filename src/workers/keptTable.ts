/** What the light table of a print shows, kept beside the films: after a start it is there at once, and nothing is read again. */

import { mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { promisify } from 'node:util'
import { deflateRaw, inflateRaw } from 'node:zlib'
import { type Plane, planeOf, type Rectangle } from '@/core/artwork'

/** The films of a print laid on each other. */
export interface Table {
  readonly print: Rectangle | undefined
  readonly planes: readonly Plane[]
}

interface Head {
  readonly print: Rectangle | null
  readonly planes: readonly { readonly width: number; readonly height: number; readonly bytes: number }[]
}

const pack = promisify<Buffer, object, Buffer>(deflateRaw)
const unpack = promisify<Buffer, Buffer>(inflateRaw)

/** Files kept; the oldest go. Some hundred kilobytes each. */
const MOST = 300
const MAKING = 'making-'

async function write(path: string, parts: readonly Buffer[]): Promise<void> {
  const folder = dirname(path)
  await mkdir(folder, { recursive: true })
  const making = join(folder, `${MAKING}${crypto.randomUUID()}`)
  await writeFile(making, Buffer.concat(parts))
  await rename(making, path)
  const names = await readdir(folder)
  if (names.length <= MOST) return
  const aged = await Promise.all(
    names.map(async (n) => [join(folder, n), (await stat(join(folder, n))).mtimeMs] as const),
  )
  aged.sort(([, a], [, b]) => a - b)
  for (const [old] of aged.slice(0, aged.length - MOST)) await rm(old, { force: true })
}

/** Keeps a table; where it cannot, a full disk say, the films are read again next time. */
export async function keepTable(path: string, { print, planes }: Table): Promise<void> {
  const packed = await Promise.all(
    planes.map(({ bits }) => pack(Buffer.from(bits.buffer, bits.byteOffset, bits.byteLength), { level: 1 })),
  )
  const head: Head = {
    print: print ?? null,
    planes: planes.map(({ width, height }, i) => ({ width, height, bytes: packed[i]?.length ?? 0 })),
  }
  await write(path, [Buffer.from(`${JSON.stringify(head)}\n`), ...packed]).catch(() => undefined)
}

/** A table that was kept; undefined when there is none, or none that can be read. */
export async function keptTable(path: string): Promise<Table | undefined> {
  try {
    const file = await readFile(path)
    const end = file.indexOf(10)
    const { print, planes } = JSON.parse(file.toString('utf8', 0, end)) as Head
    let at = end + 1
    const read: Plane[] = []
    for (const { width, height, bytes } of planes) {
      read.push(planeOf(width, height, await unpack(file.subarray(at, at + bytes))))
      at += bytes
    }
    return { print: print ?? undefined, planes: read }
  } catch {
    return undefined
  }
}

/** An answer that follows from the films alone, from the disk or made now and kept. */
export async function remembered<T>(
  path: string,
  make: () => Promise<T | undefined>,
): Promise<T | undefined> {
  const before = await readFile(path, 'utf8').catch(() => undefined)
  try {
    if (before !== undefined) return JSON.parse(before) as T
  } catch {
    // Torn by a crash of the disk: made again.
  }
  const made = await make()
  if (made !== undefined) await write(path, [Buffer.from(JSON.stringify(made))]).catch(() => undefined)
  return made
}
