import { expose } from 'comlink'
import { plan } from '@/core/plan'

const planner = { plan }
export type Planner = typeof planner

expose(planner)
