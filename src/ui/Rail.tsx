'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { Redo2, Undo2 } from 'lucide-react'
import { usePathname } from 'next/navigation'
import type { ReactNode } from 'react'
import { measureOf } from '@/core/quantity'
import { Button, Link } from './elements'
import { Key } from './Key'
import { useBindings } from './keys'
import { useLight, useSettings } from './settings'

interface RailProps {
  readonly places: readonly { readonly href: string; readonly label: string }[]
  readonly shopName: string
  readonly children?: ReactNode
}

/** Keys that everyone should meet. */
const SHOWN = [
  ['n', 'new order'],
  ['/', 'find'],
  ['?', 'all keys'],
] as const

/** What the last edit was, and the way back from it: also for who has no keys. */
const STEPS_BACK = [
  { keys: 'Ctrl+z', Sign: Undo2 },
  { keys: 'Ctrl+y', Sign: Redo2 },
] as const

const isHere = (path: string, href: string) => (href === '/' ? path === '/' : path.startsWith(href))

/** The fixed left rail: places, then whatever the place adds, then how to read numbers on this device. */
export function Rail({ shopName, places, children }: RailProps) {
  const path = usePathname()
  const { units, switchUnits } = useSettings()
  const { mode, switchMode, switchSafelight } = useLight()
  const bound = useBindings()
  return (
    <Flex
      as="nav"
      aria-label="Places"
      className="no-print"
      direction="column"
      width={{ base: '100%', md: '13.6rem' }}
      flex="none"
      height={{ base: 'auto', md: '100vh' }}
      position={{ base: 'static', md: 'sticky' }}
      top="0"
      bg="rail"
      px="4"
      py="3"
      overflowY="auto"
    >
      <Flex
        direction={{ base: 'row', md: 'column' }}
        align="baseline"
        columnGap="3"
        mb={{ base: '1.5', md: '3' }}
      >
        <Box fontSize="figure" fontWeight="800" fontStretch="62%" letterSpacing="0.01em" lineHeight="1">
          Orvint
        </Box>
        <Box fontSize="small" color="soft" truncate maxWidth="100%">
          {shopName || 'No shop set up yet'}
        </Box>
      </Flex>
      <Grid
        templateColumns={{ base: 'repeat(6, auto)', md: '1fr 1fr' }}
        columnGap={{ base: '2', md: '0' }}
        rowGap="1.5"
        mb={{ base: '2', md: '4' }}
        justifyItems="start"
      >
        {places.map((p) => (
          <Link
            key={p.href}
            href={p.href}
            aria-current={isHere(path, p.href) ? 'page' : undefined}
            fontWeight={isHere(path, p.href) ? '750' : '500'}
            borderBottom="2px solid"
            borderColor={isHere(path, p.href) ? 'ink' : 'transparent'}
          >
            {p.label}
          </Link>
        ))}
      </Grid>
      {children}
      <Flex
        wrap="wrap"
        mt="auto"
        pt={{ base: '2', md: '4' }}
        columnGap="3"
        rowGap="1"
        fontSize="small"
        color="soft"
        align="flex-start"
      >
        {STEPS_BACK.map(({ keys, Sign }) => {
          const step = bound.findLast((b) => b.keys === keys && b.label.includes(':'))
          return (
            step && (
              <Button
                key={keys}
                type="button"
                onClick={step.act}
                title={`${step.label} (${keys})`}
                display="inline-flex"
                alignItems="center"
                gap="1.5"
                width={{ base: 'auto', md: '100%' }}
                minWidth="0"
                cursor="pointer"
              >
                <Sign size={14} aria-hidden="true" style={{ flex: 'none' }} />
                <Box as="span" truncate>
                  {step.label}
                </Box>
              </Button>
            )
          )
        })}
        <Button type="button" onClick={switchUnits} cursor="pointer">
          <Key>u</Key> {measureOf(units) === 'metric' ? 'millimetres, °C' : 'inches, °F'}
        </Button>
        <Button type="button" onClick={switchMode} cursor="pointer">
          <Key>d</Key> {mode === 'light' ? 'light' : 'dark'}
        </Button>
        <Button type="button" onClick={switchSafelight} aria-pressed={mode === 'safelight'} cursor="pointer">
          <Key>s</Key> safelight {mode === 'safelight' ? 'on' : 'off'}
        </Button>
        {SHOWN.map(([keys, label]) => (
          <Button
            key={keys}
            display={keys === '?' ? { base: 'none', md: 'inline' } : 'inline'}
            type="button"
            onClick={() => bound.findLast((b) => b.keys === keys)?.act()}
            cursor="pointer"
          >
            <Key>{keys}</Key> {label}
          </Button>
        ))}
      </Flex>
    </Flex>
  )
}
