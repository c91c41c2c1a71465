import { Button } from '@/ui/elements'

/** A target of fourteen millimetres, what a gloved thumb hits. */
export function Tap({
  onTap,
  label,
  tall,
  children,
}: {
  readonly onTap: () => void
  readonly label?: string
  readonly tall?: boolean
  readonly children: string
}) {
  return (
    <Button
      type="button"
      aria-label={label}
      onClick={onTap}
      flex="1 1 auto"
      minHeight={tall ? '5rem' : '54px'}
      px="3"
      border="1px solid"
      borderColor="soft"
      bg="raised"
      fontWeight="650"
      cursor="pointer"
      style={{ touchAction: 'manipulation' }}
    >
      {children}
    </Button>
  )
}
