import type { ReactNode } from 'react'
import type { Kind } from '@/core/quantity'

export type Row = Readonly<Record<string, unknown>>

/** What a column of a list holds. */
export type As =
  | 'text'
  | 'color'
  | 'date'
  | 'count'
  | { readonly kind: Kind; readonly optional?: boolean }
  | { readonly show: (row: Row, path: string) => ReactNode }
  | Readonly<Record<string, string>>

export interface Column {
  readonly field: string
  readonly label: string
  readonly as: As
  readonly width?: string
}
