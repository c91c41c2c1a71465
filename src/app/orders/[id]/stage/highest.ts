/** The highest number of ids like `P3`; ids of other programs do not count. */
export const highest = (rows: readonly { readonly id: string }[]): number =>
  Math.max(0, ...rows.map((r) => Number(/^[A-Z](\d{1,6})$/.exec(r.id)?.[1] ?? 0)))
