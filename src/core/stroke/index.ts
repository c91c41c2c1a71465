export * from './faults'
export * from './stroke'
