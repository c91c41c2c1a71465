export {
  type Advice,
  advicesIn,
  type ChoiceAdvice,
  choiceOf,
  type NumberAdvice,
  numberOf,
  type Overrides,
  settled,
} from './advice'
export { CHOICES } from './definition'
export * from './facts'
export * from './method'
export {
  type Input,
  type Inputs,
  inputText,
  inUnits,
  message,
  q,
  type Reason,
  type Rule,
  type Severity,
  warnings,
} from './reason'
export * from './room'
