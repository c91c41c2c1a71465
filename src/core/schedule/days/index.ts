export { type DaysPlan, decode } from './decode'
export { type DaysAnswer, firstPlan } from './firstPlan'
export type { Binding, Booked, Refused } from './place'
export type { DayPress, DayRoom, DayRun, DaysChoice, DaysProblem, Minute, Span } from './problem'
