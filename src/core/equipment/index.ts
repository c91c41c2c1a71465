export * from './equipment'
export * from './schema'
