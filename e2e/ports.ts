/** Tests run in this many browsers at once, each with a server and data of its own. */
export const WORKERS = 2
export const portOf = (worker: number): number => 3417 + worker
/** A shop that is not set up yet. */
export const EMPTY_PORT = 3441
/** A server on a disk that fails. */
export const BROKEN_PORT = 3451
/** A server whose data file is cut off. */
export const CUT_PORT = 3461
