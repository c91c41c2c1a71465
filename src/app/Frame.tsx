'use client'

import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Rail } from '@/ui/Rail'
import { PAGES } from './pages'

interface FrameProps {
  readonly shopName: string
  readonly rail?: ReactNode
  readonly aside?: ReactNode
  readonly children: ReactNode
}

const PANEL = '18.5rem'

/** Rail, work surface, optional panel: beside the work where there is room, else a sheet from below. */
export function Frame({ shopName, rail, aside, children }: FrameProps) {
  return (
    <Flex minHeight="100vh" align="stretch" direction={{ base: 'column', md: 'row' }}>
      <Rail shopName={shopName} places={PAGES}>
        {rail}
      </Rail>
      <Box
        as="main"
        flex="1"
        minWidth="0"
        bg="work"
        px={{ base: '3', md: '6' }}
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
          width={{ base: 'auto', xl: PANEL }}
          bg="surround"
          height={{ base: 'auto', xl: '100vh' }}
          maxHeight={{ base: '55dvh', xl: '100vh' }}
          position="fixed"
          left={{ base: '0', xl: 'auto' }}
          right="0"
          top={{ base: 'auto', xl: '0' }}
          bottom={{ base: '0', xl: 'auto' }}
          borderTop={{ base: '2px solid', xl: 'none' }}
          borderColor="ink"
          zIndex={{ base: '10', xl: 'auto' }}
          overflowY="auto"
          className="no-print"
        >
          {aside}
        </Box>
      )}
    </Flex>
  )
}
