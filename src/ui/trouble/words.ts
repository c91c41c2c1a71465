import { inUnits } from '@/core/advice'
import type { System } from '@/core/quantity'
import { REMEDIES, type RemedyId } from '@/core/trouble'

/** Temperatures in the tables are in Celsius; they are read in the reader's. */
export const answerWords = (answer: string, units: System): string =>
  inUnits(
    answer.replace(
      /(\d+)( to (\d+))? C\b/g,
      (_, a: string, __: string | undefined, b: string | undefined) => {
        const kelvin = (c: string) => `{temperature:${Number(c) + 273.15}}`
        return b === undefined ? kelvin(a) : `${kelvin(a)} to ${kelvin(b)}`
      },
    ),
    units,
  )

/** A remedy in the reader's units. */
export const remedyWords = (remedy: RemedyId, units: System): string => inUnits(REMEDIES[remedy].does, units)

/** Time of a remedy as one says it. */
export const timeWords = (seconds: number): string =>
  seconds < 90 ? `${Math.round(seconds / 5) * 5 || 5} s` : `${Math.round(seconds / 60)} min`
