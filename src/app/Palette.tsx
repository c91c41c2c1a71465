'use client'

import { Box, Flex } from '@chakra-ui/react'
import { usePathname, useRouter, useSearchParams } from 'next/navigation'
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react'
import { Dialog } from '@/ui/Dialog'
import { Input } from '@/ui/elements'
import { useFindables } from '@/ui/findable'
import { Key } from '@/ui/Key'
import type { KeyBinding } from '@/ui/keys'
import { act } from './acts/act'
import type { Found } from './find'
import { PAGES } from './pages'
import { topicHref, topicsFor } from './topics'

interface Row {
  readonly id: string
  readonly kind: string
  readonly label: string
  readonly detail: string
  readonly keys?: string
  readonly go: () => void
}

/** Moment to wait for the next letter before asking the server, in milliseconds. */
const PAUSE = 120

interface PaletteProps {
  readonly commands: readonly KeyBinding[]
  readonly onClose: () => void
}

/** Finds any order, run, ink, frame, page, setting of the page in hand, or command; Enter goes there. */
export function Palette({ commands, onClose }: PaletteProps) {
  const router = useRouter()
  const path = usePathname()
  const search = useSearchParams().toString()
  const [text, setText] = useState('')
  const [found, setFound] = useState<readonly Found[]>([])
  const [at, setAt] = useState(0)
  const asked = useRef(0)
  useEffect(() => {
    const number = ++asked.current
    const timer = setTimeout(() => {
      void act('find', { text }).then((answer) => {
        if (asked.current === number && answer.ok) setFound(answer.found)
      })
    }, PAUSE)
    return () => clearTimeout(timer)
  }, [text])
  const settings = useFindables()
  const rows = useMemo((): readonly Row[] => {
    const has = (label: string) => label.toLowerCase().includes(text.trim().toLowerCase())
    const visit = (href: string) => () => router.push(href)
    return [
      ...found.map((f) => ({ id: `${f.kind} ${f.label} ${f.href}`, ...f, go: visit(f.href) })),
      ...settings
        .filter((s) => text.trim() !== '' && has(s.label))
        .map((s) => ({
          id: s.key,
          kind: 'Setting',
          label: s.label,
          detail: '',
          go: () => {
            router.push(s.href)
            focusSetting(s.key)
          },
        })),
      ...topicsFor(text).map((t) => ({
        id: `place ${t.label}`,
        kind: 'Place',
        label: t.label,
        detail: typeof t.at === 'string' ? '' : `in an order, ${t.at.stage}`,
        go: visit(topicHref(t, path)),
      })),
      ...PAGES.filter((p) => has(p.label)).map((p) => ({
        id: p.href,
        kind: 'Page',
        label: p.label,
        detail: '',
        go: visit(p.href),
      })),
      ...commands
        .filter((c) => has(c.label))
        .map((c) => ({ id: c.label, kind: 'Do', label: c.label, detail: '', keys: c.keys, go: c.act })),
    ]
  }, [found, settings, text, router, commands, path])
  const chosen = Math.min(at, rows.length - 1)
  const choose = (row: Row | undefined) => {
    if (!row) return
    onClose()
    // The window gives the focus back first.
    setTimeout(row.go)
  }
  const keys = (e: KeyboardEvent) => {
    if (e.key === 'ArrowDown') setAt(Math.min(chosen + 1, rows.length - 1))
    else if (e.key === 'ArrowUp') setAt(Math.max(chosen - 1, 0))
    else if (e.key === 'Enter') choose(rows[chosen])
    else return
    e.preventDefault()
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: somewhere else, nothing is asked any more
  useEffect(() => setAt(0), [path, search, text])
  return (
    <Dialog title="Find" onClose={onClose} top="9vh">
      <Input
        role="combobox"
        aria-label="Find an order, run, ink, frame, setting or sheet code"
        aria-expanded="true"
        aria-controls="found"
        aria-activedescendant={rows[chosen] ? `found-${chosen}` : undefined}
        placeholder="order, run, ink, frame, setting, sheet code …"
        data-first
        autoComplete="off"
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={keys}
        bg="work"
        px="3"
        py="2"
        fontSize="lead"
        borderBottom="2px solid"
        borderColor="ink"
      />
      <Box id="found" role="listbox" aria-label="Found" overflowY="auto" mt="2" minHeight="3rem">
        {rows.map((row, i) => (
          <Flex
            key={row.id}
            id={`found-${i}`}
            role="option"
            aria-selected={i === chosen}
            ref={i === chosen ? scrollHere : undefined}
            onClick={() => choose(row)}
            gap="3"
            px="3"
            py="1.5"
            cursor="pointer"
            align="baseline"
            bg={i === chosen ? 'work' : 'transparent'}
            boxShadow={i === chosen ? 'inset 4px 0 0 {colors.ink}' : undefined}
          >
            <Box width="4rem" flex="none" color="soft" fontSize="small">
              {row.kind}
            </Box>
            <Box fontWeight="600">{row.label}</Box>
            <Box color="soft" fontSize="small" truncate>
              {row.detail}
            </Box>
            {row.keys && (
              <Box ml="auto">
                <Key>{row.keys}</Key>
              </Box>
            )}
          </Flex>
        ))}
        {rows.length === 0 && <Box px="3">Nothing of that name.</Box>}
      </Box>
    </Dialog>
  )
}

const scrollHere = (el: HTMLElement | null) => el?.scrollIntoView({ block: 'nearest' })

/** Goes to the page of a setting and gives it the focus as soon as it is there. */
function focusSetting(key: string): void {
  const until = Date.now() + 3000
  const look = () => {
    const el = document.querySelector<HTMLElement>(`[data-advice="${CSS.escape(key)}"]`)
    if (!el && Date.now() < until) return void setTimeout(look, 50)
    el?.scrollIntoView({ block: 'center' })
    el?.focus()
  }
  look()
}
