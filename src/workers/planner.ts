import { expose } from 'comlink'
import { baseVariants, movesOf, plan, type VariantAsk, waysOf, whiteVariants } from '@/core/plan'

const variants = (ask: VariantAsk) => ({ bases: baseVariants(ask), whites: whiteVariants(ask) })
export type Variants = ReturnType<typeof variants>

const planner = { plan, variants, waysOf, movesOf }
export type Planner = typeof planner

expose(planner)
