export * from './batches'
export * from './cans'
export * from './mixing'
export * from './past'
