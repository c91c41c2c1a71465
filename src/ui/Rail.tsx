'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import NextLink from 'next/link'
import { usePathname } from 'next/navigation'
import type { ReactNode } from 'react'
import { useSettings } from './settings'

const Link = chakra(NextLink)
const Button = chakra('button')

const PLACES = [
  { href: '/', label: 'Today' },
  { href: '/shop', label: 'Shop' },
] as const

interface RailProps {
  readonly shopName: string
  /** Makes a new order. */
  readonly onNew: () => void
  readonly children?: ReactNode
}

/** The fixed left rail: places, then whatever the place adds, then how to read numbers on this device. */
export function Rail({ shopName, onNew, children }: RailProps) {
  const path = usePathname()
  const { units, mode, switchUnits, switchMode } = useSettings()
  return (
    <Flex
      as="nav"
      aria-label="Places"
      direction="column"
      width="13.6rem"
      flex="none"
      height="100vh"
      position="sticky"
      top="0"
      bg="rail"
      px="4"
      py="3"
      overflowY="auto"
    >
      <Box fontSize="1.5rem" fontWeight="800" fontStretch="62%" letterSpacing="0.01em" lineHeight="1">
        Orvint
      </Box>
      <Box fontSize="0.8rem" color="soft" mb="3">
        {shopName || 'No shop set up yet'}
      </Box>
      <Flex gap="5" mb="4" align="baseline">
        {PLACES.map((p) => (
          <Link
            key={p.href}
            href={p.href}
            aria-current={path === p.href ? 'page' : undefined}
            fontWeight={path === p.href ? '750' : '500'}
            borderBottom="2px solid"
            borderColor={path === p.href ? 'ink' : 'transparent'}
          >
            {p.label}
          </Link>
        ))}
      </Flex>
      {children}
      <Flex direction="column" mt="auto" pt="4" gap="1" fontSize="0.8rem" color="soft" align="flex-start">
        <Button type="button" onClick={switchUnits} cursor="pointer">
          <Key>u</Key> {units === 'metric' ? 'millimetres, °C' : 'inches, °F'}
        </Button>
        <Button type="button" onClick={switchMode} cursor="pointer">
          <Key>m</Key> {mode === 'light' ? 'light' : 'dark'}
        </Button>
        <Button type="button" onClick={onNew} cursor="pointer">
          <Key>n</Key> new order
        </Button>
      </Flex>
    </Flex>
  )
}

/** A key of the keyboard. */
export function Key({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      as="kbd"
      display="inline-block"
      minWidth="1.5em"
      textAlign="center"
      border="1px solid"
      borderColor="soft"
      borderRadius="3px"
      px="1"
      mr="1"
      fontFamily="inherit"
      fontSize="0.9em"
    >
      {children}
    </Box>
  )
}
