import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

it('every package that the app is built on stands in the notices, with a licence', () => {
  const text = readFileSync('NOTICES.md', 'utf8')
  const { dependencies } = JSON.parse(readFileSync('package.json', 'utf8')) as {
    readonly dependencies: Readonly<Record<string, string>>
  }
  for (const name of Object.keys(dependencies))
    expect(text).toMatch(new RegExp(`^\\| ${name} +\\| \\S+ +\\| \\S`, 'm'))
})
