/** In the query: a name may be `..`, or have a stroke in it. */
export const customerPath = (name: string): string => `/customers/one?${new URLSearchParams({ name })}`
