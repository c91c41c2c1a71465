/** The names in a table, as they are typed: for tables that are written out in the code, which hold no others. */
export const keysOf = <T extends object>(table: T) => Object.keys(table) as (keyof T & string)[]

/** What an error says, whatever was thrown. */
export const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))
