'use client'

import { Box, Grid } from '@chakra-ui/react'
import { Dialog } from '@/ui/Dialog'
import { Key } from '@/ui/Key'
import { useBindings } from '@/ui/keys'

/** Keys that belong to a value or a list and not to the page. */
const AT_A_VALUE = [
  ['w', 'Why this value?'],
  ['Enter', 'Put your own in its place'],
  ['Backspace', 'Take your own back'],
  ['Alt+← →', 'Move a screen in the lap strip'],
  ['Tab', 'The next thing'],
] as const

/** Every key that does something here. */
export function KeySheet({ onClose }: { readonly onClose: () => void }) {
  const bound = useBindings()
  const seen = new Set<string>()
  const here = bound.filter((b) => !b.hidden && !seen.has(b.keys) && seen.add(b.keys))
  return (
    <Dialog title="Keys" onClose={onClose} width="46rem">
      <Box overflowY="auto" tabIndex={0} role="region" aria-label="List of keys">
        <Grid
          templateColumns={{ base: '7rem 1fr', md: '7rem 1fr 7rem 1fr' }}
          rowGap="1.5"
          columnGap="3"
          fontSize="small"
        >
          {here.map((b) => (
            <Line key={b.keys} keys={b.keys} label={b.label} />
          ))}
        </Grid>
        <Box as="h3" fontWeight="650" mt="4" mb="1.5">
          With the focus on a value
        </Box>
        <Grid
          templateColumns={{ base: '7rem 1fr', md: '7rem 1fr 7rem 1fr' }}
          rowGap="1.5"
          columnGap="3"
          fontSize="small"
        >
          {AT_A_VALUE.map(([keys, label]) => (
            <Line key={keys} keys={keys} label={label} />
          ))}
        </Grid>
        <Box mt="4" color="soft" fontSize="small">
          Plain keys rest while a field or a value has the focus: Escape leaves it. Alt and a digit goes to a
          stage from anywhere.
        </Box>
      </Box>
    </Dialog>
  )
}

const Line = ({ keys, label }: { readonly keys: string; readonly label: string }) => (
  <>
    <Box textAlign="right">
      {keys.split('+').map((k) => (
        <Key key={k}>{k.length === 1 && keys.includes('+') ? k.toUpperCase() : k}</Key>
      ))}
    </Box>
    <Box>{label}</Box>
  </>
)
