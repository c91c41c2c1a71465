'use client'

import { Box } from '@chakra-ui/react'
import { type ReactNode, useId } from 'react'
import { type FieldError, type FieldPath, get, useFormContext, useFormState, useWatch } from 'react-hook-form'
import { type Reason, message as wordsOf } from '@/core/advice'
import type { ShopAndShelf } from '@/core/equipment'
import type { Order } from '@/core/order'
import { unusual } from '@/core/plan'
import { Label } from './elements'
import { SeverityMark } from './Severity'
import { useSettings } from './settings'

type Path = FieldPath<Order> | FieldPath<ShopAndShelf>

export const INVALID = { '&[aria-invalid=true]': { borderBottomWidth: '3px', borderColor: 'ink' } } as const
export const BOX = {
  width: '100%',
  bg: 'raised',
  px: '1.5',
  py: '1',
  borderBottom: '1px solid',
  borderColor: 'soft',
  minHeight: 'field',
  css: INVALID,
} as const

export interface FieldProps {
  readonly name: Path
  readonly label: string
  /** Which of several: said after the label, not shown. */
  readonly of?: string | undefined
  /** The label is said but not shown: the column head shows it. */
  readonly bare?: boolean
  readonly width?: string
  /** The message grows to the left: for fields at the right edge. */
  readonly atRight?: boolean
}

/** The first message at a path, also where it belongs to a whole list. */
function useMessage(name: Path): string | undefined {
  const { control } = useFormContext()
  const { errors } = useFormState({ control, name })
  const error = get(errors, name) as FieldError | undefined
  return error?.message ?? (error?.root as FieldError | undefined)?.message
}

/** What is to be asked of a value that is possible and unusual. */
function useDoubt(name: Path): Reason | undefined {
  const { control } = useFormContext()
  return unusual(name, useWatch({ control, name }))
}

/** Label above, message below, both tied to the input. */
export function Labelled({
  name,
  label,
  of,
  bare,
  width,
  atRight,
  children,
}: FieldProps & {
  readonly children: (ids: { id: string; 'aria-invalid': boolean; 'aria-describedby'?: string }) => ReactNode
}) {
  const id = useId()
  const message = useMessage(name)
  const doubt = useDoubt(name)
  const { units } = useSettings()
  const described = message === undefined ? doubt && `${id}-doubt` : `${id}-message`
  return (
    <Box width={width ?? '100%'} minWidth="0" position="relative">
      <Label htmlFor={id} display="block" fontSize="small" color="soft" srOnly={bare === true}>
        {label}
        {of && <Box as="span" srOnly>{` of ${of}`}</Box>}
      </Label>
      {children({
        id,
        'aria-invalid': message !== undefined,
        ...(described && { 'aria-describedby': described }),
      })}
      {message === undefined && doubt && (
        <Box id={`${id}-doubt`} fontSize="small" lineHeight="1.2" pt="0.5">
          <SeverityMark severity={doubt.severity ?? 'Watch'} /> {wordsOf(doubt, units)}
        </Box>
      )}
      {message !== undefined && (
        <Box
          id={`${id}-message`}
          position="absolute"
          top="calc(100% + 2px)"
          {...(atRight ? { right: '0' } : { left: '0' })}
          zIndex="4"
          width="max-content"
          maxWidth="15rem"
          bg="ink"
          color="work"
          fontSize="small"
          px="2"
          py="1"
        >
          {message}
        </Box>
      )}
    </Box>
  )
}

/** Says what is wrong with a whole list. */
export function ListMessage({ name }: { readonly name: Path }) {
  const message = useMessage(name)
  return message === undefined ? null : (
    <Box role="alert" fontSize="small" fontWeight="650" pt="1">
      {message}
    </Box>
  )
}
