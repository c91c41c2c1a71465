import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { ROOMS } from '@/core/plan'

it('every chapter of the rule book names pages of the docs that there are', () => {
  const pages = readdirSync(join(import.meta.dirname, '../../../docs/models'))
  for (const room of ROOMS) {
    expect(room.pages.length, room.id).toBeGreaterThan(0)
    for (const page of room.pages) expect(pages).toContain(`${page}.md`)
  }
})
