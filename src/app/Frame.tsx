'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Rail } from '@/ui/Rail'
import { PAGES } from './pages'

interface FrameProps {
  readonly shopName: string
  readonly rail?: ReactNode
  /** Over the work and the panel: it stays where it is when the panel opens. */
  readonly head?: ReactNode
  readonly aside?: ReactNode
  /** A mode of its own: the whole width is the work's. */
  readonly bare?: boolean | undefined
  readonly children: ReactNode
}

const PANEL = '18.5rem'
/** A head of one row. */
const HEAD = '4.6rem'
const SIDES = { base: '3', md: '6' } as const

/** Rail, head, work surface, optional panel: beside the work where there is room, else a sheet from below. */
export function Frame({ shopName, rail, head, aside, bare, children }: FrameProps) {
  return (
    <Flex minHeight="100vh" align="stretch" direction={{ base: 'column', md: 'row' }}>
      <chakra.a
        href="#work"
        className="no-print"
        position="absolute"
        left="2"
        top="-10rem"
        zIndex="30"
        bg="ink"
        color="work"
        px="4"
        py="2"
        _focus={{ top: '2' }}
      >
        To the work
      </chakra.a>
      {!bare && (
        <Rail shopName={shopName} places={PAGES}>
          {rail}
        </Rail>
      )}
      <Flex direction="column" flex="1" minWidth="0" bg="work">
        {head && (
          <Box px={SIDES} pt="4">
            {head}
          </Box>
        )}
        <Box flex="1" position="relative">
          <Box
            as="main"
            id="work"
            tabIndex={-1}
            outline="none"
            px={SIDES}
            pt="4"
            pb={{ base: aside ? '24' : '4', xl: '4' }}
            // Room for the panel at once: it comes after the work, which would move otherwise.
            mr={{ xl: aside ? PANEL : '0', _print: '0' }}
          >
            {children}
          </Box>
          {aside && (
            <Box
              as="aside"
              aria-label="Why"
              className="no-print"
              bg="surround"
              position={{ base: 'fixed', xl: 'absolute' }}
              left={{ base: '0', xl: 'auto' }}
              right="0"
              top={{ base: 'auto', xl: '0' }}
              bottom="0"
              width={{ base: 'auto', xl: PANEL }}
              borderTop={{ base: '2px solid', xl: 'none' }}
              borderColor="ink"
              zIndex={{ base: '10', xl: 'auto' }}
            >
              <Box
                position={{ base: 'static', xl: 'sticky' }}
                top="0"
                // The page itself is as high as the window: a panel under a head must not make it higher.
                height={{ base: 'auto', xl: head ? `calc(100vh - ${HEAD})` : '100vh' }}
                maxHeight={{ base: '55dvh', xl: '100vh' }}
                overflowY="auto"
              >
                {aside}
              </Box>
            </Box>
          )}
        </Box>
      </Flex>
    </Flex>
  )
}
