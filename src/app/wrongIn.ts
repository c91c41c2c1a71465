import { ValidationError } from 'yup'

/** What is wrong with one reading, in words; nothing as a rule. */
export function wrongIn(
  schema: { readonly validateSync: (value: unknown) => unknown },
  reading: unknown,
): string | undefined {
  try {
    schema.validateSync(reading)
    return undefined
  } catch (error) {
    if (error instanceof ValidationError) return error.message
    throw error
  }
}
