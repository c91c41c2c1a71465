/** Serves the built app on data of its own in a new folder: the demo, with its films if `--films`, or nothing with `--empty`. */
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { DEMO_PAST, seed, serve } from '../scripts/lib.mjs'

const [port, what] = process.argv.slice(2)
const folder = mkdtempSync(join(tmpdir(), 'orvint-e2e-'))
if (what !== '--empty') seed(folder, what === '--films', what === '--films' ? DEMO_PAST : 8)
await serve(folder, { port: Number(port), host: '127.0.0.1' })
