/**
 * `npm test`: everything, from a fresh clone: install, browser, format and lint, types, walls, unused code, unit tests
 * with coverage, build, end to end. The last line counts all tests. A failed check counts as a failed test.
 */
import { existsSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { stripVTControlCharacters } from 'node:util'
import { build, checkNode, install, readJson, run } from './lib.mjs'

checkNode()
install()

const out = mkdtempSync(join(tmpdir(), 'orvint-test-'))
let passed = 0
let failed = 0
const count = (ok) => (ok ? passed++ : failed++)
/** What failed, told once more at the end: whoever reads the log begins there. */
const wrong = []
const tell = (title, message = '') =>
  wrong.push(`${title}\n${stripVTControlCharacters(message).slice(0, 800).replace(/^/gm, '    ')}`)

const specsOf = (suite) => [...suite.specs, ...(suite.suites ?? []).flatMap(specsOf)]

const CHROMIUM = '/usr/bin/chromium'
if (!existsSync(CHROMIUM)) {
  const root = process.getuid?.() === 0
  if (root) {
    run('apt-get', ['update', '-qq'])
    run('apt-get', ['install', '-y', '-qq', 'chromium'], { env: { DEBIAN_FRONTEND: 'noninteractive' } })
  }
  if (!existsSync(CHROMIUM)) {
    console.error(`The end-to-end tests need ${CHROMIUM}. Install it with: sudo apt-get install chromium`)
    failed++
  }
}

const node = process.execPath
const check = (name, ...args) => {
  console.log(`\n- ${name}`)
  const ok = run(node, args).status === 0
  if (!ok) tell(`${name}: not passed`)
  count(ok)
}
check('format and lint', 'node_modules/@biomejs/biome/bin/biome', 'ci', '.')
run(node, ['node_modules/next/dist/bin/next', 'typegen'], { stdio: 'ignore' })
check('types', 'node_modules/typescript/bin/tsc', '--noEmit')
check(
  'walls',
  'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
  '--output-type',
  'err',
  'src',
  'scripts',
  'e2e',
)
check('unused code', 'node_modules/knip/bin/knip.js')

console.log('\n- unit tests')
const unit = join(out, 'unit.json')
const units = run(node, [
  'node_modules/vitest/vitest.mjs',
  'run',
  '--coverage',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${unit}`,
])
if (existsSync(unit)) {
  const { numPassedTests, numFailedTests, testResults } = readJson(unit)
  passed += numPassedTests
  failed += numFailedTests
  if (units.status !== 0 && numFailedTests === 0) failed++
  for (const { name, message, status, assertionResults } of testResults) {
    if (status === 'failed' && message) tell(name, message)
    for (const { fullName, status: is, failureMessages } of assertionResults)
      if (is === 'failed') tell(`${name}: ${fullName}`, failureMessages?.[0])
  }
} else failed++

console.log('\n- build')
build()

// Small: figures of no meaning, so that none rots.
for (const name of [
  'pages',
  'devices',
  'artwork',
  'ink',
  'sequence',
  'heat',
  'registration',
  'pressside',
  'trouble',
  'schedule',
  ...(existsSync(CHROMIUM) ? ['preview', 'look'] : []),
])
  check(`bench ${name}, small`, 'bench/run.mjs', name, '--small')
check('fuzz, small', 'scripts/fuzz.mjs', '1500')

if (existsSync(CHROMIUM)) {
  console.log('\n- end to end')
  const e2e = join(out, 'e2e.json')
  const ran = run(node, ['node_modules/@playwright/test/cli.js', 'test'], {
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: e2e, CHROMIUM },
  })
  if (existsSync(e2e)) {
    const { stats, suites, errors } = readJson(e2e)
    passed += stats.expected
    failed += stats.unexpected + stats.flaky
    for (const error of errors) tell('end to end', error.message)
    for (const spec of suites.flatMap(specsOf))
      for (const { status, results } of spec.tests)
        if (['unexpected', 'flaky'].includes(status))
          for (const { error, duration } of results)
            tell(`${spec.file}:${spec.line} ${spec.title} (${Math.round(duration / 1000)} s)`, error?.message)
  }
  if (!existsSync(e2e) || (ran.status !== 0 && readJson(e2e).stats.unexpected === 0)) failed++
}

if (wrong.length > 0) console.log(`\nWhat failed:\n\n${wrong.join('\n\n')}`)
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
