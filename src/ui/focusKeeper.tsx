'use client'

import { useEffect } from 'react'

/**
 * Keeps the focus on the page: when what had it goes away, its nearest surroundings get it. Someone who works by
 * keyboard goes on from there and never has to start again at the top.
 */
export function FocusKeeper() {
  useEffect(() => {
    let last: Element | undefined
    let around: readonly Element[] = []
    const remember = (e: FocusEvent) => {
      if (!(e.target instanceof Element)) return
      last = e.target
      around = ancestorsOf(e.target)
    }
    const keep = () => {
      if (!last || last.isConnected || document.activeElement !== document.body) return
      const home = around.find((el): el is HTMLElement => el instanceof HTMLElement && el.isConnected)
      last = undefined
      if (!home) return
      // The place itself, not the next field: the next key must not change what no one chose.
      if (!home.hasAttribute('tabindex')) home.tabIndex = -1
      home.focus({ preventScroll: true })
    }
    // After React has put everything in its place.
    const watch = new MutationObserver(() => requestAnimationFrame(keep))
    document.addEventListener('focusin', remember)
    watch.observe(document.body, { childList: true, subtree: true })
    return () => {
      document.removeEventListener('focusin', remember)
      watch.disconnect()
    }
  }, [])
  return null
}

/** From the parent outwards. */
function ancestorsOf(el: Element): readonly Element[] {
  const found: Element[] = []
  for (let at = el.parentElement; at; at = at.parentElement) found.push(at)
  return found
}
