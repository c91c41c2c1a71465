'use client'

import { useEffect } from 'react'

let seen: string | undefined

/** The state of the data that the page shows; undefined until a page said so. */
export const seenStamp = (): string | undefined => seen

export function saw(stamp: string): void {
  seen = stamp
}

/** Says which state of the data a page was read from, so that what was saved meanwhile is noticed. */
export function Seen({ stamp }: { readonly stamp: string }) {
  useEffect(() => saw(stamp), [stamp])
  return null
}
