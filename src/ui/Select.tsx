import { chakra } from '@chakra-ui/react'

/** A native choice, quiet until it is used: everyone knows its keys. */
export const Select = chakra('select', {
  base: {
    bg: 'transparent',
    cursor: 'pointer',
    minHeight: 'choice',
    borderBottom: '1px dotted',
    borderColor: 'soft',
    textOverflow: 'ellipsis',
    '& option': { background: 'raised', color: 'ink' },
  },
  variants: {
    /** As a field to fill in. */
    field: { true: { bg: 'raised', width: '100%', px: '1', minHeight: 'field', borderBottom: '1px solid' } },
    /** Differs from what is advised or usual. */
    own: { true: { borderBottom: '2px solid', borderColor: 'ink', fontWeight: '650' } },
  },
})
