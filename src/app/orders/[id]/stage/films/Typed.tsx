import { Box, chakra } from '@chakra-ui/react'
import { type ReactNode, useId, useState } from 'react'
import { type Kind, parseQuantity, writeQuantity } from '@/core/quantity'
import { Input } from '@/ui/elements'
import { useSettings } from '@/ui/settings'

/** A label above what it names. */
export function Labelled({
  label,
  children,
}: {
  readonly label: string
  readonly children: (id: string) => ReactNode
}) {
  const id = useId()
  return (
    <Box>
      <chakra.label htmlFor={id} display="block" fontSize="small" color="soft">
        {label}
      </chakra.label>
      {children(id)}
    </Box>
  )
}

/** A small quantity to type; what cannot be read stays marked and changes nothing. */
export function Typed({
  label,
  kind,
  value,
  onSay,
}: {
  readonly label: string
  readonly kind: Kind
  readonly value: number
  readonly onSay: (value: number) => void
}) {
  const { units } = useSettings()
  const [text, setText] = useState<string>()
  const [wrong, setWrong] = useState('')
  const say = () => {
    if (text === undefined) return
    const read = parseQuantity(kind, text, units)
    if (!read.ok) return setWrong(read.message)
    setWrong('')
    setText(undefined)
    onSay(read.value)
  }
  return (
    <Labelled label={label}>
      {(id) => (
        <>
          <Input
            id={id}
            width="6rem"
            bg="raised"
            px="1.5"
            py="1"
            borderBottom="1px solid"
            borderColor="soft"
            textAlign="right"
            aria-invalid={wrong !== ''}
            title={wrong}
            value={text ?? writeQuantity(kind, value, units)}
            onChange={(e) => setText(e.target.value)}
            onBlur={say}
            onKeyDown={(e) => e.key === 'Enter' && say()}
          />
          {wrong && (
            <Box role="alert" fontSize="small">
              {wrong}
            </Box>
          )}
        </>
      )}
    </Labelled>
  )
}
