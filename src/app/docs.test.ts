import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { describe, expect, it } from 'vitest'

const ROOT = join(import.meta.dirname, '../..')
const pages = [
  'README.md',
  ...readdirSync(join(ROOT, 'docs'), { recursive: true, encoding: 'utf8' }).map((f) => `docs/${f}`),
].filter((f) => f.endsWith('.md'))

/** `a/{b,c}` as `a/b` and `a/c`. */
const spread = (path: string): readonly string[] => {
  const [, before, list, after] = /^(.*)\{(.+)\}(.*)$/.exec(path) ?? []
  return list === undefined ? [path] : list.split(',').map((one) => `${before}${one}${after}`)
}

describe.each(pages)('%s', (page) => {
  const text = readFileSync(join(ROOT, page), 'utf8')
  it('names files of the project that there are', () => {
    const named = [...text.matchAll(/`((?:src|scripts|bench|e2e|docs)\/[^`\s]+)`/g)].flatMap((m) =>
      spread(m[1] ?? ''),
    )
    expect(named.filter((path) => !existsSync(join(ROOT, path)))).toEqual([])
  })
  it('links to pages and pictures that there are', () => {
    const linked = [...text.matchAll(/\]\(([^)#\s]+)/g)]
      .map((m) => m[1] ?? '')
      .filter((l) => !/^[a-z]+:/.test(l))
    expect(linked.filter((path) => !existsSync(join(ROOT, dirname(page), path)))).toEqual([])
  })
})

it('the house is told with the files it names', () => {
  const text = readFileSync(join(ROOT, 'docs/architecture.md'), 'utf8')
  expect([...text.matchAll(/`src\//g)].length).toBeGreaterThan(25)
  const rooms = readdirSync(join(ROOT, 'src/core'))
  for (const room of rooms) expect(text, room).toMatch(new RegExp(`src/core/(${room}|\\{[^}]*\\b${room}\\b)`))
})
