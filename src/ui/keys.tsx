'use client'

import { type ReactNode, useEffect, useLayoutEffect, useSyncExternalStore } from 'react'

/** A key with what it does, as the key sheet lists it. */
export interface KeyBinding {
  /** `u`, `?`, `Escape`, `Ctrl+z`, `Ctrl+Shift+z`. */
  readonly keys: string
  readonly label: string
  readonly act: () => void
}

let bindings: readonly KeyBinding[] = []
const listeners = new Set<() => void>()
const change = (next: readonly KeyBinding[]) => {
  bindings = next
  for (const listener of listeners) listener()
}

const pressed = (e: KeyboardEvent): string =>
  [
    e.ctrlKey || e.metaKey ? 'Ctrl' : '',
    e.altKey ? 'Alt' : '',
    e.shiftKey && (e.ctrlKey || e.metaKey) ? 'Shift' : '',
    e.key.length === 1 && (e.ctrlKey || e.metaKey) ? e.key.toLowerCase() : e.key,
  ]
    .filter(Boolean)
    .join('+')

const TYPING = 'input:not([type=checkbox], [type=radio]), textarea, select, [contenteditable]'

/** Binds keys as long as the component is there; the last to bind a key has it. Plain keys rest while someone types. */
export function useKeys(list: readonly KeyBinding[]): void {
  // Before it is painted: a key pressed at what was just seen counts.
  useLayoutEffect(() => {
    change([...bindings, ...list])
    return () => change(bindings.filter((b) => !list.includes(b)))
  }, [list])
}

/** Every key that does something now. */
export const useBindings = (): readonly KeyBinding[] =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => bindings,
    () => NONE,
  )
const NONE: readonly KeyBinding[] = []

/** Listens to the keyboard for the whole app. */
export function Keyboard({ children }: { readonly children: ReactNode }) {
  useEffect(() => {
    const listen = (e: KeyboardEvent) => {
      if (document.querySelector('dialog[open]')) return
      const keys = pressed(e)
      const typing = e.target instanceof Element && e.target.closest(TYPING) !== null
      if (typing && !keys.startsWith('Ctrl+')) return
      const bound = bindings.findLast((b) => b.keys === keys)
      if (!bound) return
      e.preventDefault()
      bound.act()
    }
    window.addEventListener('keydown', listen)
    document.documentElement.dataset.keys = 'on'
    return () => window.removeEventListener('keydown', listen)
  }, [])
  return children
}
