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

/** Rail, work surface, optional right panel. */
export function Frame({ shopName, rail, aside, children }: FrameProps) {
  return (
    <Flex minHeight="100vh" align="stretch" direction={{ base: 'column', md: 'row' }}>
      <Rail shopName={shopName} places={PAGES}>
        {rail}
      </Rail>
      <Box as="main" flex="1" minWidth="0" bg="work" px={{ base: '3', md: '6' }} py="4">
        {children}
      </Box>
      {aside && (
        <Box
          as="aside"
          aria-label="Why"
          width="18.5rem"
          flex="none"
          bg="surround"
          height="100vh"
          position={{ base: 'fixed', lg: 'sticky' }}
          right="0"
          top="0"
          zIndex={{ base: '10', lg: 'auto' }}
          overflowY="auto"
        >
          {aside}
        </Box>
      )}
    </Flex>
  )
}
