import { create } from 'qrcode'
import { useMemo } from 'react'

/** A code as a camera reads it, on a white ground of its own, whatever the page looks like. */
export function CodeSquare({ code, size }: { readonly code: string; readonly size: number }) {
  const { path, side } = useMemo(() => {
    const { modules } = create(code)
    const dots = Array.from({ length: modules.size ** 2 }, (_, i) => i).filter((i) => modules.data[i])
    const dot = (i: number) => `M${(i % modules.size) + 2} ${Math.floor(i / modules.size) + 2}h1v1h-1z`
    return { path: dots.map(dot).join(''), side: modules.size + 4 }
  }, [code])
  return (
    <svg viewBox={`0 0 ${side} ${side}`} width={size} height={size} role="img" aria-label={`Code ${code}`}>
      <rect width={side} height={side} style={{ fill: 'var(--chakra-colors-paper)' }} />
      <path d={path} style={{ fill: 'var(--chakra-colors-on-paper)' }} />
    </svg>
  )
}
