'use client'

import { Box } from '@chakra-ui/react'
import { usePathname, useRouter } from 'next/navigation'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { useKeys } from '@/ui/keys'
import { useLight, useSettings } from '@/ui/settings'
import { ACTED } from './acts/act'
import { type Notice, redo, undo, useHistory } from './edits/history'
import { KeySheet } from './KeySheet'
import { LampBar } from './LampBar'
import { useNewOrder } from './orders/useNewOrder'
import { Palette } from './Palette'
import { saw, seenStamp } from './Seen'

/** How often lists look for what others did, in milliseconds. */
const LOOK_EVERY = 2000
/** How long a note stays. */
const NOTE = 4000

/** What goes along on every page: finding, keys, undo, and news of what others did. */
export function Companions() {
  const router = useRouter()
  const { switchUnits } = useSettings()
  const { switchMode, switchSafelight } = useLight()
  const [open, setOpen] = useState<'palette' | 'keys'>()
  const [notice, setNotice] = useState<Notice>()
  const newOrder = useNewOrder()
  const history = useHistory()
  const refresh = useCallback(() => router.refresh(), [router])
  useNews(refresh)
  useEffect(() => {
    window.addEventListener(ACTED, refresh)
    return () => window.removeEventListener(ACTED, refresh)
  }, [refresh])
  useEffect(() => {
    if (!notice) return
    const end = setTimeout(() => setNotice(undefined), NOTE)
    return () => clearTimeout(end)
  }, [notice])
  const step = useCallback(
    async (take: () => Promise<Notice>) => {
      setNotice(await take())
      router.refresh()
    },
    [router],
  )
  const commands = useMemo(
    () => [
      { keys: 'n', label: 'New order', act: () => void newOrder() },
      { keys: 't', label: 'Today', act: () => router.push('/') },
      { keys: 'o', label: 'Orders', act: () => router.push('/orders') },
      { keys: 'Ctrl+z', label: history.undo ? `Undo: ${history.undo}` : 'Undo', act: () => void step(undo) },
      { keys: 'Ctrl+y', label: history.redo ? `Redo: ${history.redo}` : 'Redo', act: () => void step(redo) },
    ],
    [newOrder, router, step, history],
  )
  useKeys(
    useMemo(
      () => [
        { keys: '/', label: 'Find anything', act: () => setOpen('palette') },
        { keys: 'Ctrl+k', label: 'Find anything', act: () => setOpen('palette') },
        { keys: '?', label: 'This list of keys', act: () => setOpen('keys') },
        ...commands,
        { keys: 'Ctrl+Shift+z', label: 'Redo', act: () => void step(redo) },
      ],
      [commands, step],
    ),
  )
  const close = useCallback(() => setOpen(undefined), [])
  useArrival()
  return (
    <>
      {open === 'keys' && <KeySheet onClose={close} />}
      {open === 'palette' && (
        <Palette
          onClose={close}
          commands={[
            ...commands,
            { keys: 'u', label: 'Switch units', act: switchUnits },
            { keys: 'd', label: 'Light or dark', act: switchMode },
            { keys: 's', label: 'Safelight', act: switchSafelight },
            { keys: '?', label: 'Keys', act: () => setOpen('keys') },
          ]}
        />
      )}
      <Box
        role="status"
        aria-label="Undo"
        position="fixed"
        bottom="4"
        left="50%"
        transform="translateX(-50%)"
        zIndex="20"
        bg={notice ? 'ink' : undefined}
        color="work"
        px={notice ? '4' : '0'}
        py={notice ? '2' : '0'}
        fontWeight="600"
      >
        {notice?.message}
      </Box>
      <LampBar />
    </>
  )
}

/** Calls when anything was saved since the page was read, by anyone, while the page is seen. */
function useNews(onNews: () => void): void {
  useEffect(() => {
    const look = async () => {
      if (document.visibilityState !== 'visible') return
      const now = await fetch('/api/changes', { cache: 'no-store' })
        .then((r) => (r.ok ? r.text() : undefined))
        .catch(() => undefined)
      if (!now || now === seenStamp()) return
      const known = seenStamp() !== undefined
      saw(now)
      if (known) onNews()
    }
    const timer = setInterval(() => void look(), LOOK_EVERY)
    return () => clearInterval(timer)
  }, [onNews])
}

/** After a change of place the focus is at the heading of the page, unless something there took it. */
function useArrival(): void {
  const path = usePathname()
  const before = useRef(path)
  useEffect(() => {
    if (before.current === path) return
    before.current = path
    const frame = requestAnimationFrame(() => {
      const taken = document.activeElement?.matches('input, select, textarea, button, a, [tabindex="0"]')
      if (taken && document.activeElement?.closest('main, dialog')) return
      const heading = document.querySelector<HTMLElement>('h1')
      if (!heading) return
      heading.tabIndex = -1
      heading.focus({ preventScroll: true })
    })
    return () => cancelAnimationFrame(frame)
  }, [path])
}
