'use client'

import { Box } from '@chakra-ui/react'
import type { ComponentProps, ReactNode } from 'react'
import { Input } from './elements'

/** Drawn here: the browser's own slider gives blue light, and a screen room wants none. */
const LINE = { height: '2px', background: 'var(--chakra-colors-ink)' }
const KNOB = {
  appearance: 'none',
  width: '1.1rem',
  height: '1.1rem',
  border: 'none',
  borderRadius: '9999px',
  background: 'var(--chakra-colors-ink)',
}
const LOOK = {
  appearance: 'none',
  background: 'transparent',
  height: '1.5rem',
  '&::-webkit-slider-runnable-track': LINE,
  '&::-moz-range-track': LINE,
  '&::-webkit-slider-thumb': { ...KNOB, marginTop: 'calc(1px - 0.55rem)' },
  '&::-moz-range-thumb': KNOB,
} as const

/** A number to be dragged, or moved by the arrow keys. */
export function Slider({
  label,
  says,
  onMove,
  ...of
}: Pick<ComponentProps<typeof Input>, 'min' | 'max' | 'step' | 'value' | 'onKeyDown'> & {
  readonly label: string
  /** What stands over it. */
  readonly says: ReactNode
  readonly onMove: (to: number) => void
}) {
  return (
    <Box as="label" display="block">
      <Box fontSize="small" color="soft">
        {says}
      </Box>
      <Input
        type="range"
        aria-label={label}
        {...of}
        onChange={(e) => onMove(Number(e.target.value))}
        width="100%"
        css={LOOK}
      />
    </Box>
  )
}
