export * from './kinds'
export * from './text'
