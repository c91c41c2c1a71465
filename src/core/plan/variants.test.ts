import { describe, expect, it } from 'vitest'
import { INKS, ORDER, planOf } from './plan.fixtures'
