import { join } from 'node:path'
import { Font } from '@react-pdf/renderer'

/** The app's own type, embedded in what is printed. */
export const FACE = 'Archivo'
const WEIGHTS = [400, 600, 800] as const

/** Fonts lie with the app and are embedded; nothing is fetched. */
export function registerFonts(): void {
  const folder = join(process.cwd(), 'node_modules', '@fontsource', 'archivo', 'files')
  Font.register({
    family: FACE,
    fonts: WEIGHTS.map((w) => ({ src: join(folder, `archivo-latin-${w}-normal.woff`), fontWeight: w })),
  })
  // Trade words stay whole, so that the text can be searched.
  Font.registerHyphenationCallback((word) => [word])
}

export const RULE = '0.75pt solid #000'

/** Paper that offices have. */
export type Paper = 'A4' | 'LETTER'
