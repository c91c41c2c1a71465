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

/** A print of which there are films. */
export interface Pictured {
  readonly orderId: string
  readonly print: string
  /** Printed on a base; without one the base film stays out of the picture. */
  readonly based: boolean
}

/** The print as its films make it, on its cloth; in ambers under a safelight. */
function Picture({ of, ground }: { readonly of: Pictured; readonly ground: string }) {
  const { safe } = usePaint()
  const query = new URLSearchParams({ width: '160', cloth: ground, ...(of.based ? {} : { base: 'none' }) })
  return (
    // biome-ignore lint/performance/noImgElement: the app's own small picture, made and kept by its server
    <img
      src={`/api/orders/${of.orderId}/films/${of.print}/picture?${query}`}
      alt=""
      height={40}
      loading="lazy"
      style={{ height: 40, width: 'auto', maxWidth: 64, ...(safe ? { filter: 'url(#amber)' } : {}) }}
    />
  )
}

/** A print by its picture and its inks laid side by side on its cloth; their names where colours may not be shown. */
export function InkRow({
  cloth,
  inks,
  picture,
}: {
  readonly cloth: Coloured | undefined
  readonly inks: readonly Coloured[]
  readonly picture?: Pictured | undefined
}) {
  const ground = cloth?.hex ?? '#808080'
  const dots = <Dots cloth={cloth} ground={ground} inks={inks} />
  if (!picture) return dots
  return (
    <Flex as="span" display="inline-flex" align="center" gap="2">
      <Picture of={picture} ground={ground} />
      {dots}
    </Flex>
  )
}

function Dots({
  cloth,
  ground,
  inks,
}: {
  readonly cloth: Coloured | undefined
  readonly ground: string
  readonly inks: readonly Coloured[]
}) {
  const { safe, background } = usePaint()
  if (safe)
    return (
      <Box as="span" fontSize="small" lineHeight="1.2" display="inline-block" maxWidth="11rem">
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
