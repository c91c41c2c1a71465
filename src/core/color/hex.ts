/** A display colour, `#rrggbb`. */
export type Hex = string

export const isHex = (text: string): boolean => /^#[0-9a-f]{6}$/i.test(text)
