import { expose } from 'comlink'
import { baseVariants, plan, type VariantAsk, whiteVariants } from '@/core/plan'

const variants = (ask: VariantAsk) => ({ bases: baseVariants(ask), whites: whiteVariants(ask) })
export type Variants = ReturnType<typeof variants>

const planner = { plan, variants }
export type Planner = typeof planner

expose(planner)
