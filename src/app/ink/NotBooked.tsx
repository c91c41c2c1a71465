import { Box } from '@chakra-ui/react'
import type { Missing } from '@/core/ink'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { SeverityMark } from '@/ui/Severity'

/** What a mix takes and no can holds by the book, said before it is begun, and where to book it in. */
export function NotBooked({ missing }: { readonly missing: readonly Missing[] }) {
  return (
    <Box>
      <SeverityMark severity="Watch" /> not on the rack:{' '}
      {missing.map(({ code, short }, i) => (
        <span key={code}>
          {i > 0 && ', '}
          <Measure kind="mass" value={short} /> of {code}
        </span>
      ))}
      .{' '}
      <Link href="/ink/rack#cans" prefetch={false} textDecoration="underline" fontWeight="650">
        Book it in
      </Link>
    </Box>
  )
}
