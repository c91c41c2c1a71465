/** `npm run demo`: installs, builds, fills the demo data and serves. `-- --fresh` renews the data, `-- --port N` moves it. */
import { rmSync } from 'node:fs'
import { address, build, checkNode, dataFolder, install, seed, serve } from './lib.mjs'

const args = process.argv.slice(2)
checkNode()
const at = address(args, ['--fresh'])
const folder = dataFolder('data/demo')
install()
if (args.includes('--fresh'))
  for (const end of ['', '-wal', '-shm']) rmSync(`${folder}/orvint.sqlite${end}`, { force: true })
seed(folder)
build()
await serve(folder, at)
