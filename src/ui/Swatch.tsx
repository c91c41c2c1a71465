'use client'

import { Box, Flex } from '@chakra-ui/react'
import { type CSSProperties, type ReactNode, useCallback, useEffect, useRef, useState } from 'react'
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

/** Milliseconds until a picture that is being made is asked for again; each time more, up to the longest. */
const ASK_AGAIN = 1500
const LONGEST = 10_000

const SMALL: CSSProperties = { width: 46, height: 40, objectFit: 'contain' }

/** The print as its films make it, on its cloth; in ambers under a safelight. */
export function Picture({
  of,
  ground,
  pixels = 160,
  style = SMALL,
}: {
  readonly of: Pictured
  readonly ground: string
  readonly pixels?: number
  readonly style?: CSSProperties
}) {
  const { safe } = usePaint()
  const query = new URLSearchParams({
    width: `${pixels}`,
    cloth: ground,
    ...(of.based ? {} : { base: 'none' }),
  })
  const [again, setAgain] = useState(0)
  if (again > 0) query.set('again', `${again}`)
  const own = useRef<HTMLImageElement>(null)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  /** One dot says that the picture is being made. */
  const look = useCallback(() => {
    clearTimeout(timer.current)
    if (own.current?.complete && own.current.naturalWidth === 1)
      timer.current = setTimeout(() => setAgain((n) => n + 1), Math.min(LONGEST, ASK_AGAIN * (again + 1)))
  }, [again])
  useEffect(() => {
    // It may have come before the page listened.
    look()
    return () => clearTimeout(timer.current)
  }, [look])
  return (
    // biome-ignore lint/performance/noImgElement: the app's own small picture, made and kept by its server
    <img
      ref={own}
      onLoad={look}
      src={`/api/orders/${of.orderId}/films/${of.print}/picture?${query}`}
      alt=""
      draggable={false}
      loading="lazy"
      style={{ ...style, ...(safe ? { filter: 'url(#amber)' } : {}) }}
    />
  )
}

interface LookProps {
  readonly cloth: Coloured | undefined
  readonly inks: readonly Coloured[]
  readonly picture?: Pictured | undefined
  /** What it is, under its inks. */
  /** Nothing below has to line up: no room is kept for a picture that there is not. */
  readonly close?: boolean
  readonly children?: ReactNode
}

/** A print by its picture, where there is one, and its inks on its cloth. Of one height, whether the picture has come or not. */
export function PrintLook({ cloth, inks, picture, close, children }: LookProps) {
  const ground = cloth?.hex ?? '#808080'
  return (
    <Flex as="span" display="inline-flex" align="center" gap="2.5" minHeight="40px">
      {(picture || !close) && (
        <Box as="span" width="46px" flex="none" textAlign="center">
          {picture && <Picture of={picture} ground={ground} />}
        </Box>
      )}
      <Box as="span" display="block">
        <InkRow cloth={cloth} inks={inks} />
        <Box as="span" display="block" fontSize="small" color="soft" lineHeight="1.3" whiteSpace="nowrap">
          {children}
        </Box>
      </Box>
    </Flex>
  )
}

/** The inks of a print laid side by side on its cloth; their names where colours may not be shown. */
export function InkRow({ cloth, inks }: Pick<LookProps, 'cloth' | 'inks'>) {
  const ground = cloth?.hex ?? '#808080'
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
