import { Box } from '@chakra-ui/react'
import type { ReactNode } from 'react'

/** A key of the keyboard; not shown where there is none. */
export function Key({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      as="kbd"
      display={{ base: 'none', md: 'inline-block' }}
      css={{ '@media (hover: none)': { display: 'none' } }}
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
