/** Where a page of a list begins, as its address says; what is no place is the beginning. */
export const offsetOf = (from: unknown): number =>
  typeof from === 'string' && /^\d{1,9}$/.test(from) ? Number(from) : 0
