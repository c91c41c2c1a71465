export * from './change'
