import { Box, chakra, Flex } from '@chakra-ui/react'
import type { ComponentProps, ReactNode } from 'react'

/** A part of the work surface under its own head. */
export function Section({
  title,
  side,
  children,
}: {
  readonly title: string
  readonly side?: ReactNode
  readonly children: ReactNode
}) {
  return (
    <Box as="section" mb="6">
      <Flex align="baseline" gap="4" borderBottom="2px solid" borderColor="ink" mb="2" pb="0.5">
        <Box as="h2" fontSize="lead" fontWeight="700">
          {title}
        </Box>
        <Box ml="auto">{side}</Box>
      </Flex>
      {children}
    </Box>
  )
}

const Plain = chakra('button')

/** A quiet button in words. */
export function TextButton(props: ComponentProps<typeof Plain>) {
  return (
    <Plain
      type="button"
      cursor="pointer"
      textDecoration="underline"
      textUnderlineOffset="3px"
      fontWeight="550"
      px="1"
      {...props}
    />
  )
}

export const Table = chakra('table', {
  base: {
    width: '100%',
    borderCollapse: 'collapse',
    '& th': {
      fontWeight: '450',
      fontSize: 'small',
      color: 'soft',
      textAlign: 'left',
      py: '1',
      pr: '3',
      verticalAlign: 'bottom',
    },
    '& td': { borderTop: '1px solid', borderColor: 'rule', py: '1.5', pr: '3', verticalAlign: 'baseline' },
    '& .num': { textAlign: 'right' },
  },
})
