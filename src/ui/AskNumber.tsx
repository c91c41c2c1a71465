'use client'

import { chakra } from '@chakra-ui/react'
import type { KeyboardEvent, ReactNode } from 'react'
import type { Reason } from '@/core/advice'
import { useDesk } from './desk'

const Button = chakra('button')

interface AskProps {
  readonly label: string
  readonly reasons: readonly Reason[]
  readonly children: ReactNode
}

/** A number that is counted, not decided: it only answers why. */
export function AskNumber({ label, reasons, children }: AskProps) {
  const { ask } = useDesk()
  const open = () => ask({ kind: 'event', label, reasons })
  const keys = (e: KeyboardEvent) => {
    if (e.key !== 'w' || e.ctrlKey || e.metaKey || e.altKey) return
    e.preventDefault()
    e.stopPropagation()
    open()
  }
  return (
    <Button type="button" onClick={open} onKeyDown={keys} cursor="help" data-why={label} font="inherit">
      {children}
    </Button>
  )
}
