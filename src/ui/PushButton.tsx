import { chakra } from '@chakra-ui/react'

/** A button that does the work of the page: framed, large enough for a thumb. */
export const PushButton = chakra('button', {
  base: {
    border: '2px solid',
    borderColor: 'ink',
    px: '4',
    py: '1.5',
    minHeight: { base: '2.9rem', lg: '2.2rem' },
    fontWeight: '650',
    cursor: 'pointer',
    _disabled: { borderColor: 'rule', color: 'soft', cursor: 'default' },
  },
})
