'use client'

import { ChakraProvider } from '@chakra-ui/react'
import createCache from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import { useServerInsertedHTML } from 'next/navigation'
import { type ReactNode, useState } from 'react'
import { FocusKeeper } from './focusKeeper'
import { Keyboard } from './keys'
import { Hatches } from './paint'
import { SettingsProvider, type Writing } from './settings'
import { system } from './system'

/** Collects the styles that a server render makes and sends them along, so that the browser hydrates the same page. */
function useEmotionRegistry(nonce: string | undefined) {
  const [registry] = useState(() => {
    const cache = createCache({ key: 'css', ...(nonce && { nonce }) })
    cache.compat = true
    const insert = cache.insert
    let fresh: string[] = []
    cache.insert = (...args) => {
      const [, serialized] = args
      if (cache.inserted[serialized.name] === undefined) fresh.push(serialized.name)
      return insert(...args)
    }
    const flush = () => {
      const names = fresh
      fresh = []
      return names
    }
    return { cache, flush }
  })
  useServerInsertedHTML(() => {
    const names = registry.flush()
    if (names.length === 0) return null
    const styles = names.map((n) => registry.cache.inserted[n]).join('')
    return (
      <style
        key={registry.cache.key}
        nonce={nonce}
        data-emotion={`${registry.cache.key} ${names.join(' ')}`}
        // biome-ignore lint/security/noDangerouslySetInnerHtml: styles made by this app, from no one's input
        dangerouslySetInnerHTML={{ __html: styles }}
      />
    )
  })
  return registry.cache
}

export function Provider({
  nonce,
  writing,
  children,
}: {
  readonly nonce?: string | undefined
  readonly writing: Writing
  readonly children: ReactNode
}) {
  return (
    <CacheProvider value={useEmotionRegistry(nonce)}>
      <ChakraProvider value={system}>
        <SettingsProvider writing={writing}>
          <Keyboard>{children}</Keyboard>
          <FocusKeeper />
          <Hatches />
        </SettingsProvider>
      </ChakraProvider>
    </CacheProvider>
  )
}
