import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { TYPE_SCALE } from './system'

const MOST = 8
/** Drawings letter themselves in their own units, and grow with their box. */
const DRAWN = /Drawing\.tsx$/
/** Pages that come without the style system. */
const BARE = /app\/(error|not-found)\.tsx$/

it('type has at most eight sizes, and no element has one of its own', () => {
  expect(Object.keys(TYPE_SCALE).length).toBeLessThanOrEqual(MOST)
  const own = readdirSync('src', { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.tsx') && !DRAWN.test(file) && !BARE.test(file))
    .flatMap((file) =>
      [
        ...readFileSync(`src/${file}`, 'utf8').matchAll(
          /(?:fontSize|size)(?:=|: )["'{ ]*([\d.]+(?:rem|px))/g,
        ),
      ].map((m) => `${file}: ${m[1]}`),
    )
  expect(own).toEqual([])
})
