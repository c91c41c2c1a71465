/** `npm run -s notices`: which packages the app ships and under which licences, into NOTICES.md. */
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { readJson } from './lib.mjs'

const ROOT = fileURLToPath(new URL('..', import.meta.url))

/** Packages that are not for development alone, as `name version licence`, by name. */
export function shipped(lock, licenceOf) {
  const rows = Object.entries(lock.packages)
    .filter(([path, { dev, optional, devOptional }]) => path !== '' && !dev && !optional && !devOptional)
    .map(([path, { version, license }]) => {
      const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)
      return { name, version, licence: license ?? licenceOf(path) }
    })
  return [...new Map(rows.map((r) => [`${r.name} ${r.version}`, r])).values()].sort((a, b) =>
    a.name < b.name ? -1 : a.name > b.name ? 1 : 0,
  )
}

/** The text of the file. */
export const notices = (rows) => `# Packages that Orvint ships

Each is used as published, under its own licence; the full texts lie in the packages, in \`node_modules\` after an install.
Made by \`npm run -s notices\`.

| package | version | licence |
| --- | --- | --- |
${rows.map((r) => `| ${r.name} | ${r.version} | ${r.licence} |`).join('\n')}
`

/** What a package says of itself, where the lock file does not. */
export const licenceInstalled = (path) => {
  const file = join(ROOT, path, 'package.json')
  return (existsSync(file) && JSON.parse(readFileSync(file, 'utf8')).license) || 'see the package'
}

if (process.argv[1] === fileURLToPath(import.meta.url))
  writeFileSync(
    join(ROOT, 'NOTICES.md'),
    notices(shipped(readJson(join(ROOT, 'package-lock.json')), licenceInstalled)),
  )
