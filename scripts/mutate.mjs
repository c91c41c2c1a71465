/** `npm run -s mutate [-- ROOM ...]`: what breaks without a test noticing; see stryker.config.mjs. */
import { install, run } from './lib.mjs'

install()
const rooms = process.argv.slice(2)
const env = rooms.length > 0 ? { MUTATE: rooms.join(',') } : {}
process.exit(
  run(process.execPath, ['node_modules/@stryker-mutator/core/bin/stryker.js', 'run', 'stryker.config.mjs'], {
    env,
  }).status ?? 1,
)
