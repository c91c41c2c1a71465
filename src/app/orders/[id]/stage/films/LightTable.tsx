'use client'

import { Box, Flex } from '@chakra-ui/react'
import {
  type KeyboardEvent,
  type PointerEvent,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react'
import { clampScale, type Push, type Rectangle, tilesSeen, type View, viewOf } from '@/core/artwork'
import { INCH } from '@/core/quantity'
import { TextButton } from '@/ui/Section'
import { useLight } from '@/ui/settings'
import { Tiles } from './tiles'
import type { Films } from './useFilms'

/** A film as it lies on the table. */
export interface Laid {
  readonly id: string
  readonly hex: string
  readonly clear: boolean
  readonly push: Push
}

interface Props {
  readonly base: string
  readonly set: Films['set']
  readonly print: Rectangle | undefined
  readonly cloth: string
  /** From the bottom up. */
  readonly laid: readonly Laid[]
  /** The film that arrows and drag push; none moves the view. */
  readonly pushing: string | undefined
  readonly onPush: (by: Push) => void
  /** A place to mark, in metres from the top left of the film. */
  readonly spot: { readonly x: number; readonly y: number } | undefined
  /** What was taken for no art, framed. */
  readonly leftOut: readonly Rectangle[]
}

export const HEIGHT = 400
/** Shown pixels for one of the film; none shows the whole print. */
const ZOOMS: readonly (readonly [label: string, scale?: number])[] = [['Whole print'], ['1:1', 1], ['8:1', 8]]
/** Steps of the arrow keys in metres and radians; with Shift ten of them. */
const STEP = 0.00005
const TURN = 0.0005

/** The films of a print laid on each other in their inks, on their cloth. */
export function LightTable({ base, set, print, cloth, laid, pushing, onPush, spot, leftOut }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const [width, setWidth] = useState(0)
  const [view, show] = useState<View>()
  /** Whether someone looks at a place of their own. */
  const moved = useRef(false)
  const setView = useCallback((next: View | ((v: View | undefined) => View | undefined)) => {
    moved.current = true
    show(next)
  }, [])
  const [waiting, setWaiting] = useState(0)
  const safe = useLight().mode === 'safelight'
  const tiles = useMemo(() => new Tiles(base, set.key, setWaiting), [base, set.key])
  const px = INCH / set.dpi

  const whole = useCallback((): View => {
    const box = print ?? { x: 0, y: 0, width: set.width * px, height: set.height * px }
    const inPixels = { x: box.x / px, y: box.y / px, width: box.width / px, height: box.height / px }
    return viewOf(inPixels, { width, height: HEIGHT })
  }, [print, set, px, width])

  useEffect(() => {
    const own = canvas.current?.parentElement
    if (!own) return
    const watch = new ResizeObserver(() => setWidth(own.clientWidth))
    watch.observe(own)
    return () => watch.disconnect()
  }, [])
  const fitted = useRef('')
  const what = `${set.key} ${JSON.stringify(print)}`
  useEffect(() => {
    // Who looks at one place goes on looking there while the page is laid out anew, or what lies there is read again.
    if (width === 0 || (moved.current && fitted.current === what)) return
    fitted.current = what
    moved.current = false
    show(whole())
  }, [whole, width, what])
  useEffect(() => {
    if (!spot) return
    setView({ scale: 4, x: spot.x / px, y: spot.y / px })
    // Who asked where may stand far below the table.
    canvas.current?.scrollIntoView({ block: 'nearest' })
  }, [spot, px, setView])

  // biome-ignore lint/correctness/useExhaustiveDependencies: a tile that came is drawn
  useEffect(() => {
    const context = canvas.current?.getContext('2d')
    if (!context || !view) return
    const frame = requestAnimationFrame(() =>
      draw(context, width, view, set, px, cloth, laid, tiles, spot, leftOut),
    )
    return () => cancelAnimationFrame(frame)
  }, [width, view, set, px, cloth, laid, tiles, waiting, spot, leftOut])

  const zoom = (factor: number) => setView((v) => v && { ...v, scale: clampScale(v.scale * factor) })
  useEffect(() => {
    const own = canvas.current
    // The browser's own listener: React's may not keep the page from scrolling.
    const turn = (e: WheelEvent) => {
      e.preventDefault()
      setView((v) => v && { ...v, scale: clampScale(v.scale * (e.deltaY < 0 ? 1.15 : 1 / 1.15)) })
    }
    own?.addEventListener('wheel', turn, { passive: false })
    return () => own?.removeEventListener('wheel', turn)
  }, [setView])
  const drag = useRef<{ x: number; y: number }>(undefined)
  const move = (e: PointerEvent) => {
    const from = drag.current
    if (!from || !view) return
    const dx = (e.clientX - from.x) / view.scale
    const dy = (e.clientY - from.y) / view.scale
    drag.current = { x: e.clientX, y: e.clientY }
    if (pushing) onPush({ dx: dx * px, dy: dy * px, rotation: 0 })
    else setView({ ...view, x: view.x - dx, y: view.y - dy })
  }
  const keys = (e: KeyboardEvent) => {
    if (e.ctrlKey || e.metaKey || e.altKey || !view) return
    const many = e.shiftKey ? 10 : 1
    const [x, y] = ARROWS[e.key] ?? [0, 0]
    if (e.key === '+' || e.key === '=') zoom(1.4)
    else if (e.key === '-') zoom(1 / 1.4)
    else if (pushing && (e.key === '[' || e.key === ']'))
      onPush({ dx: 0, dy: 0, rotation: (e.key === '[' ? -TURN : TURN) * many })
    else if (x !== 0 || y !== 0) {
      if (pushing) onPush({ dx: x * STEP * many, dy: y * STEP * many, rotation: 0 })
      else setView({ ...view, x: view.x + (x * 40) / view.scale, y: view.y + (y * 40) / view.scale })
    } else return
    e.preventDefault()
    e.stopPropagation()
  }
  return (
    <Box>
      <Box
        boxShadow="0 0 0 1px {colors.rule}"
        tabIndex={0}
        role="application"
        aria-label={
          pushing
            ? 'Light table: arrows push the film, with Shift further; square brackets turn it; plus and minus zoom'
            : 'Light table: arrows move, plus and minus zoom'
        }
        cursor={pushing ? 'move' : 'grab'}
        touchAction="none"
        onKeyDown={keys}
        onPointerDown={(e) => {
          drag.current = { x: e.clientX, y: e.clientY }
          e.currentTarget.setPointerCapture(e.pointerId)
        }}
        onPointerMove={move}
        onPointerUp={() => {
          drag.current = undefined
        }}
      >
        <canvas
          ref={canvas}
          width={width}
          height={HEIGHT}
          style={{ display: 'block', ...(safe ? { filter: 'url(#amber)' } : {}) }}
        />
      </Box>
      <Flex gap="4" mt="1.5" align="baseline" fontSize="small">
        {ZOOMS.map(([label, scale]) => (
          <TextButton
            key={label}
            onClick={() => {
              setView((v) => (scale === undefined ? whole() : v && { ...v, scale }))
              moved.current = scale !== undefined
            }}
          >
            {label}
          </TextButton>
        ))}
        {waiting > 0 && <Box role="status">Laying out the films …</Box>}
        <Box color="soft" ml="auto">
          {view && `${Number(view.scale.toPrecision(2))} : 1`}
        </Box>
      </Flex>
    </Box>
  )
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

function draw(
  context: CanvasRenderingContext2D,
  width: number,
  view: View,
  set: Films['set'],
  px: number,
  cloth: string,
  laid: readonly Laid[],
  tiles: Tiles,
  spot: Props['spot'],
  leftOut: Props['leftOut'],
): void {
  context.setTransform(1, 0, 0, 1, 0, 0)
  context.globalCompositeOperation = 'source-over'
  context.fillStyle = cloth
  context.fillRect(0, 0, width, HEIGHT)
  context.imageSmoothingEnabled = view.scale < 2
  for (const { id, hex, clear, push } of laid) {
    context.setTransform(
      view.scale,
      0,
      0,
      view.scale,
      width / 2 - view.x * view.scale,
      HEIGHT / 2 - view.y * view.scale,
    )
    context.translate(push.dx / px + set.width / 2, push.dy / px + set.height / 2)
    context.rotate(push.rotation)
    context.translate(-set.width / 2, -set.height / 2)
    context.globalCompositeOperation = clear ? 'multiply' : 'source-over'
    const { level, side, left, right, top, bottom } = tilesSeen(
      view,
      { width, height: HEIGHT },
      set,
      push,
      px,
    )
    for (let y = top; y <= bottom; y++)
      for (let x = left; x <= right; x++) {
        const tile = tiles.get(id, level, x, y, hex)
        if (tile) context.drawImage(tile, x * side, y * side, side, side)
      }
  }
  context.setTransform(1, 0, 0, 1, 0, 0)
  context.globalCompositeOperation = 'source-over'
  for (const box of leftOut) {
    const [x, y] = [
      width / 2 + (box.x / px - view.x) * view.scale,
      HEIGHT / 2 + (box.y / px - view.y) * view.scale,
    ]
    const [w, h] = [(box.width / px) * view.scale, (box.height / px) * view.scale]
    for (const [colour, gap] of [
      ['#000', []],
      ['#fff', [5, 5]],
    ] as const) {
      context.strokeStyle = colour
      context.lineWidth = 1.5
      context.setLineDash([...gap])
      context.strokeRect(x, y, w, h)
    }
  }
  context.setLineDash([])
  if (!spot) return
  const at = {
    x: width / 2 + (spot.x / px - view.x) * view.scale,
    y: HEIGHT / 2 + (spot.y / px - view.y) * view.scale,
  }
  for (const [colour, wide] of [
    ['#000', 5],
    ['#fff', 2],
  ] as const) {
    context.strokeStyle = colour
    context.lineWidth = wide
    context.strokeRect(at.x - 22, at.y - 22, 44, 44)
  }
}
