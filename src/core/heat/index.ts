export * from './cure'
export { HEAT } from './definition'
export * from './flash'
