'use client'

import { Box } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useEffect } from 'react'

/** How often what is being planned is looked for, milliseconds. */
const EVERY = 1500

/** Says that plans are being renewed, and fills them in as they come. Stands beside a title: nothing jumps. */
export function Filling({ planning }: { readonly planning: number }) {
  const router = useRouter()
  useEffect(() => {
    if (planning === 0) return
    const timer = setInterval(() => document.visibilityState === 'visible' && router.refresh(), EVERY)
    return () => clearInterval(timer)
  }, [planning, router])
  return (
    <Box role="status" aria-label="Planning" whiteSpace="nowrap" color="soft" fontSize="small">
      {planning > 0 && `${planning} ${planning === 1 ? 'order is' : 'orders are'} being planned …`}
    </Box>
  )
}
