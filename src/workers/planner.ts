import { expose } from 'comlink'
import {
  baseVariants,
  cureHeat,
  heatOf,
  heatTried,
  lapTrace,
  movesOf,
  panelCure,
  plan,
  trialOf,
  troubleRun,
  type VariantAsk,
  waysOf,
  whiteVariants,
} from '@/core/plan'

const variants = (ask: VariantAsk) => ({ bases: baseVariants(ask), whites: whiteVariants(ask) })
export type Variants = ReturnType<typeof variants>

const planner = {
  plan,
  variants,
  waysOf,
  movesOf,
  heatOf,
  heatTried,
  lapTrace,
  trialOf,
  troubleRun,
  cureHeat,
  panelCure,
}
export type Planner = typeof planner

expose(planner)
