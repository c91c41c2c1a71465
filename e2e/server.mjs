/** Serves the built app on data of its own in a new folder: the demo, with its films if `--films`, or nothing with `--empty`. */
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seed, serve } from '../scripts/lib.mjs'

/** Enough for every kind of page; the demo has forty. */
const PAST = 8
const [port, what] = process.argv.slice(2)
const folder = mkdtempSync(join(tmpdir(), 'orvint-e2e-'))
if (what !== '--empty') seed(folder, what === '--films', PAST)
await serve(folder, { port: Number(port), host: '127.0.0.1' })
