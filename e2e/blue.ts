import type { Page } from '@playwright/test'
import { PNG } from 'pngjs'

/** Of 255; what smoothing of edges may leave. */
export const BLUE = 8

/** The bluest pixel of what is shown. */
export async function bluest(page: Page): Promise<number> {
  const { data } = PNG.sync.read(await page.screenshot({ fullPage: true }))
  let most = 0
  for (let i = 2; i < data.length; i += 4) most = Math.max(most, data[i] ?? 0)
  return most
}

/** Colours that any element is painted with and that hold more blue than a safelight may. */
export const blueColours = (page: Page) =>
  page.evaluate((limit) => {
    const PAINTED = [
      'color',
      'background-color',
      'border-top-color',
      'border-bottom-color',
      'outline-color',
      'fill',
      'stroke',
      'caret-color',
      'text-decoration-color',
      'accent-color',
      'background-image',
      'box-shadow',
    ]
    const blue = (text: string) =>
      [...text.matchAll(/rgba?\(([^)]+)\)/g)].some(([, body = '']) => {
        const [, , b = 0, alpha = 1] = body.split(/[\s,/]+/).map(Number)
        return b > limit && alpha > 0
      })
    const found = [...document.querySelectorAll('body, body *')].flatMap((el) => {
      const style = getComputedStyle(el)
      return PAINTED.filter((p) => blue(style.getPropertyValue(p))).map(
        (p) => `${el.tagName} ${p} ${style.getPropertyValue(p)}`,
      )
    })
    return [...new Set(found)]
  }, BLUE)
