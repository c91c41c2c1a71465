'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { type ComponentProps, type ReactNode, useEffect, useRef, useState } from 'react'

/** A part of the work surface under its own head. */
export function Section({
  title,
  side,
  id,
  children,
}: {
  /** Where an address leads to it. */
  readonly id?: string
  readonly title: string
  readonly side?: ReactNode
  readonly children: ReactNode
}) {
  return (
    <Box as="section" mb="6" id={id}>
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

/** A part that is opened when it is wanted; its head says what is in it. */
export function Folded({
  title,
  says,
  children,
}: {
  readonly title: string
  readonly says: ReactNode
  readonly children: ReactNode
}) {
  return (
    <Box as="section" mb="6">
      <details>
        <Summary>
          <Box as="h2" display="inline" fontSize="lead" fontWeight="700" mr="4">
            {title}
          </Box>
          <Box as="span" color="soft">
            {says}
          </Box>
        </Summary>
        <Box pt="2">{children}</Box>
      </details>
    </Box>
  )
}

const Summary = chakra('summary', {
  base: { borderBottom: '2px solid', borderColor: 'ink', pb: '0.5', cursor: 'pointer' },
})

const Plain = chakra('button')

/** A quiet button in words. */
export function TextButton(props: ComponentProps<typeof Plain>) {
  return (
    <Plain
      type="button"
      className="no-print"
      cursor="pointer"
      textDecoration="underline"
      textUnderlineOffset="3px"
      fontWeight="550"
      px="1"
      {...props}
    />
  )
}

const Rows = chakra('table', {
  base: {
    width: '100%',
    minWidth: { base: '36rem', md: '0' },
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

/** A table; where the window is narrower than its columns it moves sideways by itself, by key too, the page does not. */
export function Table(props: ComponentProps<typeof Rows>) {
  const [own, moves] = useMovesSideways()
  return (
    <Box
      ref={own}
      tabIndex={moves ? 0 : undefined}
      overflowX={{ base: 'auto', lg: 'visible' }}
      position={{ base: 'relative', lg: 'static' }}
      maxWidth="100%"
    >
      <Rows {...props} />
    </Box>
  )
}

/** Whether an element is wider inside than it is: then keys have to reach it. */
export function useMovesSideways() {
  const own = useRef<HTMLDivElement>(null)
  const [moves, setMoves] = useState(false)
  useEffect(() => {
    const box = own.current
    if (!box) return
    const watch = new ResizeObserver(() =>
      setMoves(getComputedStyle(box).overflowX === 'auto' && box.scrollWidth > box.clientWidth),
    )
    watch.observe(box)
    return () => watch.disconnect()
  }, [])
  return [own, moves] as const
}
