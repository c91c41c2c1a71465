export * from './base'
export * from './quantity'
