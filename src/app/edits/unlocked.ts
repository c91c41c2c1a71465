type Unlocked<T> = T extends number | string | boolean
  ? T
  : T extends readonly (infer E)[]
    ? Unlocked<E>[]
    : T extends object
      ? { -readonly [K in keyof T]: Unlocked<T[K]> }
      : T

/** A copy that a form may change in place. */
export const unlocked = <T>(value: T) => structuredClone(value) as Unlocked<T>
