import { chakra } from '@chakra-ui/react'

/** A native choice, quiet until it is used: everyone knows its keys. */
export const Select = chakra('select', {
  base: {
    bg: 'transparent',
    cursor: 'pointer',
    minHeight: '1.7rem',
    borderBottom: '1px dotted',
    borderColor: 'soft',
    textOverflow: 'ellipsis',
    '& option': { background: 'raised', color: 'ink' },
  },
  variants: {
    /** As a field to fill in. */
    field: { true: { bg: 'raised', width: '100%', px: '1', minHeight: '2.1rem', borderBottom: '1px solid' } },
    /** Differs from what is advised or usual. */
    own: { true: { borderBottom: '2px solid', borderColor: 'ink', fontWeight: '650' } },
  },
})
