export { type Aid, registrationAid } from './aid/aid'
export {
  type Drift,
  driftOf,
  type HeadLock,
  type KnownHead,
  knownHeads,
  lockingOn,
  MOST_LOCK,
} from './aid/drift'
export { driftSaid, lockSaid } from './aid/driftSaid'
export { asOperatorSees, type MarkReading, type Pose } from './aid/fit'
export { centreOf, type HeadTurn, type KnobTurns, type KnownKnobs, knobsOf, MOST_TURN } from './aid/headLearn'
export {
  type Head,
  headAt,
  less,
  missOver,
  movedBy,
  type Place,
  USUAL_CENTRE,
  USUAL_HEAD,
} from './aid/knobs'
export { knobsSaid, turnedSaid, turnSaid } from './aid/knobsSaid'
export { boardUnder } from './board'
export * from './budget'
export { REGISTRATION } from './definition'
export * from './filmPosition'
export * from './gang'
export * from './garmentShape'
export * from './onPallet'
export * from './onSizes'
export * from './outlines'
export * from './palletTemplate'
export * from './placement'
export { type Registered, registerOrder } from './registerOrder'
export * from './setup'
export { stretchSaid } from './stretch'
export { chokeTooTight, gapHolds, missBeyondFrom, trapBudget, USUAL_GAP } from './trap'
export { type LookHere, whereToLook } from './whereToLook'
