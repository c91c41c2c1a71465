export * from './stroke'
