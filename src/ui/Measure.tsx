'use client'

import { Box } from '@chakra-ui/react'
import { type Kind, otherUnit, showQuantity } from '@/core/quantity'
import { useSettings } from './settings'

/** A quantity to read: the number strong, its unit lighter. */
export function Measure({ kind, value }: { readonly kind: Kind; readonly value: number }) {
  const { units } = useSettings()
  const { number, unit } = showQuantity(kind, value, units)
  return (
    <Box as="span" whiteSpace="nowrap">
      {number}
      {unit && (
        <Box as="span" fontSize="0.8em" fontWeight="400" color="soft">
          {unit === '°' ? unit : `\u00a0${unit}`}
        </Box>
      )}
    </Box>
  )
}

/** The same in the unit that other shops use, small beside it: shops on both systems talk to each other. */
export function InOtherUnit({
  kind,
  value,
}: {
  readonly kind: 'meshCount' | 'ruling'
  readonly value: number
}) {
  const { units } = useSettings()
  const { number, unit } = otherUnit(kind, value, units)
  return (
    <Box as="span" whiteSpace="nowrap" fontSize="small" fontWeight="400" color="soft">
      {number}&nbsp;{unit}
    </Box>
  )
}
