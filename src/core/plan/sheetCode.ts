/** Letters and digits that are not mistaken for each other in handwriting or on the phone. */
const SIGNS = '2345679CDFGHJKMNPQRTVWXYZ'
const LENGTH = 5

/** 32-bit FNV-1a (Fowler, Noll, Vo; published). */
function fnv1a(text: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0
  return hash
}

/**
 * The short code of a released sheet: five signs that tell one sheet from another, about ten million of them.
 *
 * @param text what the sheet is: run and revision
 */
export function sheetCode(text: string): string {
  let hash = fnv1a(text)
  let code = ''
  for (let i = 0; i < LENGTH; i++) {
    code += SIGNS[hash % SIGNS.length]
    hash = Math.floor(hash / SIGNS.length)
  }
  return code
}

/** Whether someone may have typed a sheet code. */
export const looksLikeSheetCode = (text: string): boolean =>
  new RegExp(`^[${SIGNS}]{${LENGTH}}$`).test(text.trim().toUpperCase())
