'use client'

import { Box } from '@chakra-ui/react'
import { useState } from 'react'
import { useController, useFormContext } from 'react-hook-form'
import { type Kind, parseClock, parseQuantity, writeClock, writeQuantity } from '@/core/quantity'
import { Input, Label, Textarea } from './elements'
import { BOX, type FieldProps, INVALID, Labelled } from './labelled'
import { usePaint } from './paint'
import { Select } from './Select'
import { useSettings } from './settings'

export { ListMessage } from './labelled'

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
