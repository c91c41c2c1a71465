'use client'

import { Box } from '@chakra-ui/react'
import { type ReactNode, useId, useState } from 'react'
import { type Kind, parseQuantity, writeQuantity } from '@/core/quantity'
import { Select } from '@/ui/Select'
import { useSettings } from '@/ui/settings'
import { Input, Label } from './elements'

const Labelled = ({
  label,
  of,
  id,
  children,
}: {
  readonly label: string
  /** Which of several: said after the label, not shown. */
  readonly of?: string | undefined
  readonly id: string
  readonly children: ReactNode
}) => (
  <Box>
    <Label htmlFor={id} display="block" fontSize="small" color="soft">
      {label}
      {of && <Box as="span" srOnly>{` of ${of}`}</Box>}
    </Label>
    {children}
  </Box>
)

/** One of a few, for a computation that is not stored. */
export function Pick({
  label,
  value,
  options,
  onPick,
}: {
  readonly label: string
  readonly value: string
  readonly options: readonly { readonly id: string; readonly name: string }[]
  readonly onPick: (id: string) => void
}) {
  const id = useId()
  return (
    <Labelled label={label} id={id}>
      <Select id={id} value={value} onChange={(e) => onPick(e.target.value)} width="100%">
        {options.map((o) => (
          <option key={o.id} value={o.id}>
            {o.name}
          </option>
        ))}
      </Select>
    </Labelled>
  )
}

/** A quantity typed in any unit, for a computation that is not stored; what cannot be read says so. None yet: empty. */
export function QuantityInput({
  label,
  of,
  kind,
  value,
  onGive,
  onEmpty,
  check,
  density,
}: {
  readonly label: string
  readonly of?: string | undefined
  readonly kind: Kind
  /** Of what is weighed, kg/m3: then a volume may be typed. */
  readonly density?: number | undefined
  readonly value: number | undefined
  readonly onGive: (value: number) => void
  /** It may be left empty: what was given is taken back. */
  readonly onEmpty?: () => void
  /** What stands against a value, if anything. */
  readonly check?: (value: number) => string | undefined
}) {
  const id = useId()
  const { units } = useSettings()
  const [text, setText] = useState<string>()
  const isEmpty = onEmpty !== undefined && text?.trim() === ''
  const read = text === undefined || isEmpty ? undefined : parseQuantity(kind, text, units, density)
  const wrong = read && (read.ok ? check?.(read.value) : read.message)
  return (
    <Labelled label={label} of={of} id={id}>
      <Input
        id={id}
        value={text ?? (value === undefined ? '' : writeQuantity(kind, value, units))}
        aria-invalid={wrong !== undefined}
        aria-describedby={wrong === undefined ? undefined : `${id}-message`}
        onChange={(e) => {
          setText(e.target.value)
          if (onEmpty && e.target.value.trim() === '') return onEmpty()
          const now = parseQuantity(kind, e.target.value, units, density)
          if (now.ok && check?.(now.value) === undefined) onGive(now.value)
        }}
        onBlur={() => wrong === undefined && setText(undefined)}
        width="100%"
        bg="raised"
        px="1.5"
        py="1"
        minHeight="field"
        borderBottom={wrong === undefined ? '1px solid' : '3px solid'}
        borderColor={wrong === undefined ? 'soft' : 'ink'}
      />
      {wrong !== undefined && (
        <Box id={`${id}-message`} role="alert" fontSize="small" fontWeight="650">
          {wrong}
        </Box>
      )}
    </Labelled>
  )
}

/** A few words, for something that is done at once and not stored here. */
export function TextInput({
  label,
  value,
  onWrite,
}: {
  readonly label: string
  readonly value: string
  readonly onWrite: (text: string) => void
}) {
  const id = useId()
  return (
    <Labelled label={label} id={id}>
      <Input
        id={id}
        value={value}
        onChange={(e) => onWrite(e.target.value)}
        width="100%"
        bg="raised"
        px="1.5"
        py="1"
        minHeight="field"
        borderBottom="1px solid"
        borderColor="soft"
      />
    </Labelled>
  )
}
