/** What comes of something that can fail: what a person, a disk or the network can cause is a sentence. */
export type Outcome<T extends object = object> =
  | ({ readonly ok: true } & T)
  | { readonly ok: false; readonly message: string }

/** It cannot be, and why. */
export const no = (message: string) => ({ ok: false, message }) as const
