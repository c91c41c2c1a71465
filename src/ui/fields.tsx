'use client'

import { Box } from '@chakra-ui/react'
import { type ReactNode, useId, useState } from 'react'
import {
  type FieldError,
  type FieldPath,
  get,
  useController,
  useFormContext,
  useFormState,
  useWatch,
} from 'react-hook-form'
import { type Reason, message as wordsOf } from '@/core/advice'
import type { ShopAndShelf } from '@/core/equipment'
import type { Order } from '@/core/order'
import { unusual } from '@/core/plan'
import { type Kind, parseClock, parseQuantity, writeClock, writeQuantity } from '@/core/quantity'
import { Input, Label, Textarea } from './elements'
import { usePaint } from './paint'
import { Select } from './Select'
import { SeverityMark } from './Severity'
import { useSettings } from './settings'

type Path = FieldPath<Order> | FieldPath<ShopAndShelf>

const INVALID = { '&[aria-invalid=true]': { borderBottomWidth: '3px', borderColor: 'ink' } } as const
const BOX = {
  width: '100%',
  bg: 'raised',
  px: '1.5',
  py: '1',
  borderBottom: '1px solid',
  borderColor: 'soft',
  minHeight: 'field',
  css: INVALID,
} as const

interface FieldProps {
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
function Labelled({
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

export function TextField({
  type = 'text',
  rows,
  meant,
  ...props
}: FieldProps & {
  readonly type?: 'text' | 'date' | 'color'
  readonly rows?: number
  /** Words that may be meant, offered while one types. */
  readonly meant?: readonly string[]
}) {
  const { register, getValues } = useFormContext()
  const value = String(getValues(props.name) ?? '')
  // Pickers of the browser know no safelight.
  const { safe } = usePaint()
  const color = type === 'color' && !safe
  return (
    <Labelled {...props}>
      {(ids) =>
        rows === undefined ? (
          <>
            {meant && (
              <datalist id={`${ids.id}-meant`}>
                {meant.map((m) => (
                  <option key={m} value={m} />
                ))}
              </datalist>
            )}
            <Input
              type={safe ? 'text' : type}
              list={meant && `${ids.id}-meant`}
              {...BOX}
              {...(color ? { p: '0', width: '2.1rem', height: '2.1rem' } : {})}
              {...ids}
              defaultValue={value}
              {...register(props.name)}
            />
          </>
        ) : (
          <Textarea rows={rows} {...BOX} {...ids} defaultValue={value} {...register(props.name)} />
        )
      }
    </Labelled>
  )
}

/** A whole number of pieces. */
export function CountField(props: FieldProps) {
  const { register, getValues } = useFormContext()
  // The server renders the value too; without it the page would come up empty.
  const value = String(getValues(props.name) ?? '')
  return (
    <Labelled {...props}>
      {(ids) => (
        <Input
          inputMode="numeric"
          textAlign="right"
          {...BOX}
          {...ids}
          defaultValue={value}
          {...register(props.name, { setValueAs: (x) => (x === '' ? undefined : Number(x)) })}
        />
      )}
    </Labelled>
  )
}

export function SelectField({
  options,
  ...props
}: FieldProps & { readonly options: Readonly<Record<string, string>> }) {
  const { field } = useController({ name: props.name })
  return (
    <Labelled {...props}>
      {(ids) => (
        <Select
          field
          css={INVALID}
          {...ids}
          ref={field.ref}
          name={field.name}
          value={String(field.value ?? '')}
          onChange={field.onChange}
          onBlur={field.onBlur}
        >
          {Object.entries(options).map(([value, label]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </Select>
      )}
    </Labelled>
  )
}

export function CheckField({ name, label, bare }: FieldProps) {
  const { register, getValues } = useFormContext()
  return (
    <Label display="inline-flex" alignItems="center" gap="1.5" minHeight="2.1rem" fontSize="small">
      <Input
        type="checkbox"
        width="1.05rem"
        height="1.05rem"
        accentColor="soft"
        defaultChecked={getValues(name) === true}
        {...register(name)}
      />
      <Box as="span" srOnly={bare === true}>
        {label}
      </Box>
    </Label>
  )
}

interface ParsedProps extends FieldProps {
  /** What the form holds for a text; the text itself when no one can read it, for the check to refuse. */
  readonly read: (text: string) => unknown
  readonly write: (value: number) => string
}

/** A number typed in the words of the trade. The form holds SI. */
function ParsedField({ read, write, ...props }: ParsedProps) {
  const { field } = useController({ name: props.name })
  const [typed, setTyped] = useState<{ readonly text: string; readonly value: unknown }>()
  const value: unknown = field.value
  const shown = typeof value === 'number' ? write(value) : typeof value === 'string' ? value : ''
  const take = (text: string) => {
    const next = read(text)
    setTyped({ text, value: next })
    field.onChange(next)
  }
  return (
    <Labelled {...props}>
      {(ids) => (
        <Input
          textAlign="right"
          autoComplete="off"
          {...BOX}
          {...ids}
          ref={field.ref}
          name={field.name}
          // What was typed stays as it was typed until something else changes the value.
          value={typed && Object.is(typed.value, value) ? typed.text : shown}
          onChange={(e) => take(e.target.value)}
          onFocus={(e) => e.target.select()}
          onBlur={() => {
            setTyped(undefined)
            field.onBlur()
          }}
        />
      )}
    </Labelled>
  )
}

/**
 * A quantity typed in any unit of its kind. What no one can read stays as text and is refused with an example. An empty
 * optional field holds nothing.
 */
export function QuantityField({
  kind,
  optional = false,
  ...props
}: FieldProps & { readonly kind: Kind; readonly optional?: boolean }) {
  const { units } = useSettings()
  const read = (text: string) => {
    if (optional && text.trim() === '') return undefined
    const parsed = parseQuantity(kind, text, units)
    return parsed.ok ? parsed.value : text
  }
  return <ParsedField {...props} read={read} write={(x) => writeQuantity(kind, x, units)} />
}

/** A time of day; an empty optional field holds none. */
export const ClockField = ({ optional = false, ...props }: FieldProps & { readonly optional?: boolean }) => (
  <ParsedField
    {...props}
    read={(text) => (optional && text.trim() === '' ? undefined : (parseClock(text) ?? text))}
    write={writeClock}
  />
)
