'use client'

import { type ReactNode, useEffect, useLayoutEffect, useSyncExternalStore } from 'react'

/** A key with what it does, as the key sheet lists it. */
export interface KeyBinding {
  /** `u`, `?`, `Escape`, `Ctrl+z`, `Ctrl+Shift+z`. */
  readonly keys: string
  readonly label: string
  /** Another way to what is listed already. */
  readonly hidden?: boolean
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
    // With Alt some keyboards write another sign; the key itself says which digit it is.
    e.altKey && /^Digit\d$/.test(e.code)
      ? e.code.slice(-1)
      : e.key.length === 1 && (e.ctrlKey || e.metaKey)
        ? e.key.toLowerCase()
        : e.key,
  ]
    .filter(Boolean)
    .join('+')

const TYPING = 'input:not([type=checkbox], [type=radio]), textarea, select, [contenteditable]'
/** A number or choice that has the focus: whoever types over it means it, and no page. */
const VALUE = '[data-advice], [data-why]'

/**
 * Binds keys as long as the component is there; the last to bind a key has it. Plain keys rest while a field or a value has the
 * focus; Escape leaves it.
 */
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
      const held =
        e.target instanceof HTMLElement ? e.target.closest<HTMLElement>(`${TYPING}, ${VALUE}`) : null
      const bound = bindings.findLast((b) => b.keys === keys)
      // What lies open at a value is closed first; then the value is left.
      const closes = bound !== undefined && held?.matches(VALUE)
      if (held && keys === 'Escape' && !closes) return held.blur()
      if (held && keys !== 'Escape' && !/^(Ctrl|Alt)\+/.test(keys)) return
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
