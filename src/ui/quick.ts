import type { SystemContext } from '@chakra-ui/react'

/** Far more than the app has different styles; the library's own memory of 500 forgets them within one page. */
const MOST = 10_000

/** Remembers answers by their question written out; `undefined` in a style says nothing, as in the text. */
function remembered<F extends (...args: never[]) => unknown>(ask: F): F {
  const known = new Map<string, unknown>()
  return ((...args: never[]) => {
    const key = JSON.stringify(args)
    if (known.has(key)) return known.get(key)
    const answer = ask(...args)
    if (known.size >= MOST) known.clear()
    known.set(key, answer)
    return answer
  }) as F
}

/**
 * The same design system, worked out once for each style: the library makes a recipe anew for every element of every page,
 * which is half of the time that a page takes on the server.
 */
export function quick(system: SystemContext): SystemContext {
  const recipes = new WeakMap<object, unknown>()
  const valid = new Map<string, boolean>()
  const cva = ((config: object = {}) => {
    const found = recipes.get(config) ?? system.cva(config as never)
    recipes.set(config, found)
    return found
  }) as SystemContext['cva']
  const isValidProperty = (prop: string) => {
    const found = valid.get(prop) ?? system.isValidProperty(prop)
    if (valid.size < MOST) valid.set(prop, found)
    return found
  }
  return { ...system, cva, isValidProperty, css: remembered(system.css) }
}
