/** Only what a test takes of it. */
declare module 'color-diff' {
  interface LabColour {
    readonly L: number
    readonly a: number
    readonly b: number
  }
  export function diff(one: LabColour, other: LabColour): number
}
