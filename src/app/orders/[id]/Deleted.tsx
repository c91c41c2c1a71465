import { Box } from '@chakra-ui/react'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { act } from '../../acts/act'

/** Someone deleted the order that is on the desk. */
export function Deleted({ id }: { readonly id: string }) {
  return (
    <Box role="alert" bg="raised" px="4" py="2" mb="4">
      <SeverityMark severity="Stop" /> This order was deleted, so nothing is saved. What is typed here is
      kept. <TextButton onClick={() => void act('restoreOrder', { id })}>Bring it back</TextButton>
    </Box>
  )
}
