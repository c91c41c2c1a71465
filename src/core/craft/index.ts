export * from './lists'
export {
  CRAFT_ROOMS,
  type CraftRoom,
  type Figure,
  PROCEDURES,
  type ProcedureId,
  type When,
} from './procedures'
