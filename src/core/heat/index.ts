export * from './cure'
export * from './flash'
export * from './rules'
