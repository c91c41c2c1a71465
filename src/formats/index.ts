export * from './archive'
export * from './csv'
export * from './job'
export * from './plan'
