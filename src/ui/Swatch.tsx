'use client'

import { Box, Flex } from '@chakra-ui/react'
import { usePaint } from './paint'

/** A patch of ink or cloth, ringed in grey so that white and black show on any surround. */
export function Swatch({
  hex,
  size = 16,
  round = false,
}: {
  readonly hex: string
  readonly size?: number
  readonly round?: boolean
}) {
  const { background } = usePaint()
  return (
    <Box
      as="span"
      display="inline-block"
      flex="none"
      width={`${size}px`}
      height={`${size}px`}
      borderRadius={round ? 'full' : '1px'}
      boxShadow="0 0 0 1px {colors.ring}"
      style={{ background: background(hex) }}
    />
  )
}

interface Coloured {
  readonly name: string
  readonly hex: string
}

/** The inks of a print laid side by side on its cloth; their names where colours may not be shown. */
export function InkRow({
  cloth,
  inks,
}: {
  readonly cloth: Coloured | undefined
  readonly inks: readonly Coloured[]
}) {
  const { safe, background } = usePaint()
  const ground = cloth?.hex ?? '#808080'
  if (safe)
    return (
      <Box as="span" fontSize="0.8rem" lineHeight="1.2" display="inline-block" maxWidth="11rem">
        {inks.map((i) => i.name).join(', ')} on {cloth?.name.toLowerCase()}
      </Box>
    )
  return (
    <Flex
      as="span"
      display="inline-flex"
      align="center"
      gap="5px"
      px="7px"
      py="5px"
      boxShadow="0 0 0 1px {colors.ring}"
      style={{ background: background(ground) }}
    >
      {inks.map((ink, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two inks may share a colour
        <Swatch key={i} hex={ink.hex} size={13} round />
      ))}
    </Flex>
  )
}
