export * from './lists'
export {
  CRAFT_ROOMS,
  type CraftStep,
  type Figure,
  PROCEDURES,
  type Procedure,
  type When,
} from './procedures'
