export * from './base'
export { changeWord, type Looks, looksOf, PREDICT_RULES, type Printed } from './predict'
export * from './quantity'
