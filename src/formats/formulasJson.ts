import type { InkRoom } from '@/core/equipment'
import { toNamedUnits } from './namedUnits'

/** Formulas with the inks they are mixed from, as JSON; its shape is a JSON Schema in the docs. */
export const formulasJson = ({ rack, formulas }: InkRoom): string =>
  `${JSON.stringify(toNamedUnits({ format: 'orvint-formulas', version: 1, rack, formulas }), null, 2)}\n`
