'use client'

import type { KeyboardEvent, ReactNode } from 'react'
import { q, type Reason } from '@/core/advice'
import { PLAN } from '@/core/plan'
import type { Kind } from '@/core/quantity'
import { useDesk } from './desk'
import { Button } from './elements'
import { Measure } from './Measure'
import { Unseen } from './Unseen'

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
    <Button
      type="button"
      onClick={open}
      onKeyDown={keys}
      cursor="help"
      data-why={label}
      font="inherit"
      textAlign="inherit"
    >
      <Unseen label={label} />
      {children}
    </Button>
  )
}

interface FactProps {
  readonly label: string
  readonly kind: Kind
  readonly value: number
  /** Who said so: the art of the order, or the shop; or that it is a sum. */
  readonly rule: 'ART' | 'STOCK' | 'INK_TOTAL'
}

/** A quantity that someone entered, or a sum. */
export const FactMeasure = ({ label, kind, value, rule }: FactProps) => (
  <AskNumber label={label} reasons={[PLAN.because(rule, { value: q(kind, value) })]}>
    <Measure kind={kind} value={value} />
  </AskNumber>
)
