/** `npm run -s bench -- NAME`: ratios against a reference in the same run; `--small` for a few seconds, without meaning. */
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { build, freePort, install, ROOT, run, stop } from '../scripts/lib.mjs'

const [name = ''] = process.argv.slice(2)
const file = join('bench', `${name}.ts`)
if (!/^\w+$/.test(name) || !existsSync(join(ROOT, file))) stop('Which benchmark? npm run -s bench -- pages')
install()
build()
const env = {
  BENCH_PORT: String(await freePort()),
  ...(process.argv.includes('--small') && { BENCH_SMALL: '1' }),
}
process.exit(run(process.execPath, ['--import', 'tsx', file], { env }).status ?? 1)
