import type { ReactNode } from 'react'
import { Button } from '@/ui/elements'

/** A target of fourteen millimetres, what a gloved thumb hits. */
export function Tap({
  onTap,
  label,
  tall,
  chosen,
  children,
}: {
  readonly onTap: () => void
  readonly label?: string | undefined
  readonly tall?: boolean
  /** One of several, and whether it is the one. */
  readonly chosen?: boolean
  readonly children: ReactNode
}) {
  return (
    <Button
      type="button"
      aria-label={label}
      aria-pressed={chosen}
      onClick={onTap}
      flex="1 1 auto"
      minHeight={tall ? '5rem' : '54px'}
      minWidth="54px"
      px="3"
      border={chosen ? '3px solid' : '1px solid'}
      borderColor={chosen ? 'ink' : 'soft'}
      bg="raised"
      fontWeight={chosen ? '750' : '650'}
      cursor="pointer"
      style={{ touchAction: 'manipulation' }}
    >
      {children}
    </Button>
  )
}
