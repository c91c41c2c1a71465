/** Small: a few seconds, in the tests, so that no benchmark rots; its figures say nothing. */
export const SMALL = process.env.BENCH_SMALL !== undefined
