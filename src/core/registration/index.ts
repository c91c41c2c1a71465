export * from './placement'
