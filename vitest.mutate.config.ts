import { defineConfig, mergeConfig } from 'vitest/config'
import whole from './vitest.config'

/** The tests of the rooms that are broken on purpose: each room has to notice for itself. */
const rooms = (process.env.MUTATE ?? 'sequence,ink,screen,quantity,heat').split(',')

const config = mergeConfig(whole, defineConfig({}))
config.test = { ...config.test, include: rooms.map((room) => `src/core/${room}/**/*.test.ts`) }
export default config
