import { Box } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Link } from './elements'
import { PushButton } from './PushButton'

/** Where nothing is yet: what to do first, in one sentence and one button. */
export function Empty({ says, children }: { readonly says: string; readonly children?: ReactNode }) {
  return (
    <Box py="5" maxWidth="36rem">
      <Box fontSize="lead" mb="3">
        {says}
      </Box>
      {children}
    </Box>
  )
}

/** A way on that looks like a button. */
export const PushLink = ({ href, children }: { readonly href: string; readonly children: ReactNode }) => (
  <PushButton asChild>
    <Link href={href} display="inline-block" textAlign="center">
      {children}
    </Link>
  </PushButton>
)
