export { explain, muddyPairs, mudPoints } from './explain'
export * from './hit'
export { SEQUENCE_RULES } from './rules'
export { type Solver, solve, solverFor, whatHelps } from './solve'
