'use client'

import { Box } from '@chakra-ui/react'
import type { EChartsCoreOption } from 'echarts/core'
import { useEffect, useRef, useState } from 'react'
import { useLight } from './settings'

/** Colours and letters of the page, for charts. */
export interface ChartPaint {
  readonly ink: string
  readonly soft: string
  readonly rule: string
  readonly raised: string
  readonly text: { readonly color: string; readonly fontFamily: string; readonly fontSize: number }
}

interface Props {
  readonly label: string
  /** Keep it the same as long as what it shows is the same. */
  readonly draw: (paint: ChartPaint) => EChartsCoreOption
  readonly height?: number
}

/** The charting library is half of a page's weight: it comes when a chart is about to be seen. */
const NEAR = { rootMargin: '300px' }

/** A chart in the greys or ambers of the page. */
export function Chart({ label, draw, height = 220 }: Props) {
  const place = useRef<HTMLDivElement>(null)
  const { mode } = useLight()
  const [near, setNear] = useState(false)
  useEffect(() => {
    const box = place.current
    if (!box) return
    const watch = new IntersectionObserver(([seen]) => seen?.isIntersecting && setNear(true), NEAR)
    watch.observe(box)
    // Paper has no scrolling: what prints is drawn first.
    const all = () => setNear(true)
    window.addEventListener('beforeprint', all)
    return () => {
      watch.disconnect()
      window.removeEventListener('beforeprint', all)
    }
  }, [])
  // biome-ignore lint/correctness/useExhaustiveDependencies: the mode changes the colours that are read from the page
  useEffect(() => {
    const box = place.current
    if (!box || !near) return
    let gone = false
    let dispose: (() => void) | undefined
    void import('./echarts').then(({ startChart }) => {
      if (gone) return
      const token = (name: string) =>
        getComputedStyle(document.documentElement).getPropertyValue(`--chakra-colors-${name}`).trim() ||
        '#888888'
      const ink = token('ink')
      const text = { color: ink, fontFamily: 'Archivo Variable, sans-serif', fontSize: 12 }
      const chart = startChart(box)
      const paint = { ink, soft: token('soft'), rule: token('rule'), raised: token('raised'), text }
      chart.setOption({ animation: false, textStyle: text, ...draw(paint) })
      const resize = new ResizeObserver(() => chart.resize())
      resize.observe(box)
      dispose = () => {
        resize.disconnect()
        chart.dispose()
      }
    })
    return () => {
      gone = true
      dispose?.()
    }
  }, [draw, mode, near])
  return <Box ref={place} role="img" aria-label={label} width="100%" overflow="hidden" style={{ height }} />
}
