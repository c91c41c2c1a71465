/**
 * `npm run -s mutate [-- ROOM ...]`: breaks lines of chosen rooms of the core, one after another, and counts how many no test
 * notices. By hand: minutes to hours a room.
 */
const rooms = (process.env.MUTATE ?? 'sequence,ink,screen,quantity,heat').split(',')

export default {
  testRunner: 'vitest',
  vitest: { configFile: 'vitest.mutate.config.ts', related: false },
  plugins: ['@stryker-mutator/vitest-runner'],
  mutate: rooms.flatMap((room) => [
    `src/core/${room}/**/*.ts`,
    `!src/core/${room}/**/*.test.ts`,
    `!src/core/${room}/**/*.fixtures.ts`,
    // Words, not computations.
    `!src/core/${room}/definition.ts`,
    `!src/core/${room}/*Rules.ts`,
    `!src/core/${room}/index.ts`,
  ]),
  mutator: { excludedMutations: ['StringLiteral'] },
  coverageAnalysis: 'perTest',
  concurrency: 2,
  timeoutMS: 20_000,
  tempDirName: '.mutate',
  cleanTempDir: 'always',
  reporters: ['clear-text', 'progress-append-only'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  thresholds: { high: 85, low: 70, break: null },
}
