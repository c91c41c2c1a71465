import { type ComponentProps, type KeyboardEvent, useRef, useState } from 'react'
import { Select } from './Select'

interface Props extends Omit<ComponentProps<typeof Select>, 'value' | 'onChange'> {
  /** What was chosen, and whether the focus goes along to what it adds. */
  readonly onAdd: (value: string, focus: boolean) => void
}

/**
 * A choice that adds what is chosen. Whoever types a name is waited for, until Enter or Tab: its first letter may find another
 * (`2` on the way to `2XL`). Who goes elsewhere meanwhile is not called back.
 */
export function AddSelect({ onAdd, ...props }: Props) {
  const [found, setFound] = useState('')
  const typing = useRef(false)
  const add = (value: string, focus: boolean) => {
    typing.current = false
    setFound('')
    if (value !== '') onAdd(value, focus)
  }
  const keys = (e: KeyboardEvent) => {
    const ends = e.key === 'Enter' || (e.key === 'Tab' && found !== '')
    if (!ends) {
      typing.current = true
      return
    }
    e.preventDefault()
    add(found, true)
  }
  return (
    <Select
      {...props}
      value={found}
      onKeyDown={keys}
      onPointerDown={() => {
        typing.current = false
      }}
      onChange={(e) => (typing.current ? setFound(e.target.value) : add(e.target.value, true))}
      onBlur={() => add(found, false)}
    />
  )
}
