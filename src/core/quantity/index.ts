export * from './day'
export * from './kinds'
export { type NumberRead, readNumber } from './number'
export * from './text'
