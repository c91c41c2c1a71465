export { explain, muddyPairs } from './explain'
export * from './hit'
export { SEQUENCE_RULES } from './rules'
export { type Solver, solve, solverFor } from './solve'
