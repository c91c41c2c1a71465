'use client'

import { Box, Flex } from '@chakra-ui/react'
import { Link } from './elements'

/** Which part of a long list is shown. */
export interface PageOf {
  readonly offset: number
  readonly size: number
  readonly total: number
  /** Where the list is, with what it was asked for: `/orders?find=tees`. */
  readonly path: string
}

/** The way to the rest of a long list. */
export function Pager({ page }: { readonly page: PageOf }) {
  const { offset, size, total, path } = page
  if (total <= size && offset === 0) return null
  const to = (from: number) => `${path}${path.includes('?') ? '&' : '?'}from=${from}`
  const last = Math.min(offset + size, total)
  return (
    <Flex as="nav" aria-label="Pages" gap="5" mt="4" align="baseline">
      {offset > 0 && (
        <Link href={to(Math.max(0, offset - size))} textDecoration="underline">
          Earlier
        </Link>
      )}
      <Box color="soft">
        {offset + 1} to {last} of {total.toLocaleString('en')}
      </Box>
      {last < total && (
        <Link href={to(last)} textDecoration="underline">
          Later
        </Link>
      )}
    </Flex>
  )
}
