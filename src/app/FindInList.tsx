'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useMemo, useRef, useState } from 'react'
import { Input } from '@/ui/elements'
import { useKeys } from '@/ui/keys'

/** Moment to wait for the next letter, in milliseconds. */
const PAUSE = 200

/** Finds in a list while someone types. */
export function FindInList({
  find,
  placeholder,
  path,
}: {
  readonly find: string
  readonly placeholder: string
  /** Address of the list that shows what was found. */
  readonly path: (text: string) => string
}) {
  const router = useRouter()
  const [text, setText] = useState(find)
  const input = useRef<HTMLInputElement>(null)
  useKeys(useMemo(() => [{ keys: 'f', label: 'Find in this list', act: () => input.current?.focus() }], []))
  useEffect(() => {
    if (text === find) return
    const timer = setTimeout(() => router.replace(path(text)), PAUSE)
    return () => clearTimeout(timer)
  }, [text, find, path, router])
  return (
    <Input
      ref={input}
      type="search"
      aria-label="Find in this list"
      placeholder={placeholder}
      value={text}
      onChange={(e) => setText(e.target.value)}
      bg="raised"
      px="2"
      py="1"
      width="17rem"
      borderBottom="1px solid"
      borderColor="soft"
    />
  )
}
