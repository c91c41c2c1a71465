'use client'

import { Box } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useEffect } from 'react'

/** How often what is being planned is looked for, milliseconds. */
const EVERY = 1500

/** Says that plans are being renewed, and fills them in as they come. Takes its line in any case: nothing jumps. */
export function Filling({ planning }: { readonly planning: number }) {
  const router = useRouter()
  useEffect(() => {
    if (planning === 0) return
    const timer = setInterval(() => document.visibilityState === 'visible' && router.refresh(), EVERY)
    return () => clearInterval(timer)
  }, [planning, router])
  return (
    <Box role="status" aria-label="Planning" minHeight="1.5em" color="soft" fontSize="0.9rem">
      {planning > 0 && `${planning} ${planning === 1 ? 'order is' : 'orders are'} being planned …`}
    </Box>
  )
}
