export { type PressEvent, type Said, SPOILED_BY } from './event'
export { type Entry, fold, type Recorded } from './fold'
export { eventFields, eventSchema } from './schema'
export { type Target, targetsOf } from './targets'
