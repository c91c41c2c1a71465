'use client'

import { Box } from '@chakra-ui/react'
import { useParams } from 'next/navigation'
import { Link, PageTitle } from '@/ui/elements'

/** A code that stands on no sheet of this shop. */
export default function NoSheet() {
  const { code } = useParams<{ code: string }>()
  return (
    <Box as="main" p="6">
      <PageTitle>No sheet {decodeURIComponent(code).slice(0, 12).toUpperCase()}</PageTitle>
      <Box my="4">Check the five characters at the foot of the sheet.</Box>
      <Link href="/press" textDecoration="underline">
        Type it again
      </Link>
    </Box>
  )
}
