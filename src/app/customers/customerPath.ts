export const customerPath = (name: string): string => `/customers/${encodeURIComponent(name)}`
