export * from './day'
export * from './kinds'
export { readNumber } from './number'
export * from './text'
