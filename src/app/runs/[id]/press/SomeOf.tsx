import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Target } from '@/core/record'
import { Tap } from '@/ui/Tap'
import type { AtPress } from './atPress'
import { nameOf } from './SizeCard'

/** A run of pieces of one size in one go: the figures are tapped, then taken down. */
export function SomeOf({ targets, say }: AtPress & { readonly targets: readonly Target[] }) {
  const [typed, setTyped] = useState('')
  const n = Number(typed)
  return (
    <Box as="section" aria-label="Several at once" mb="6">
      <Flex gap="2" align="center" wrap="wrap" mb="2">
        <Box
          fontSize="big"
          fontWeight="750"
          minWidth="5rem"
          className="num"
          role="status"
          aria-label="Pieces"
        >
          {typed || '0'}
        </Box>
        {['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'].map((digit) => (
          <Tap
            key={digit}
            label={`Digit ${digit}`}
            onTap={() => setTyped((now) => `${now}${digit}`.slice(-3))}
          >
            {digit}
          </Tap>
        ))}
        <Tap label="Clear the figures" onTap={() => setTyped('')}>
          Clear
        </Tap>
      </Flex>
      {n > 0 && (
        <Flex gap="2" wrap="wrap">
          {targets.map((target) => (
            <Tap
              key={target.key}
              label={`${n} good of ${nameOf(target)}`}
              onTap={() => {
                say({ kind: 'count', line: target.line, size: target.size, n })
                setTyped('')
              }}
            >
              {n} good {nameOf(target)}
            </Tap>
          ))}
          <Tap
            onTap={() => {
              say({ kind: 'scrap', n })
              setTyped('')
            }}
          >
            {n} scrap
          </Tap>
        </Flex>
      )}
    </Box>
  )
}
