import type { SymptomId } from '@/core/trouble'
import { DRAWINGS } from './drawings'

/** What it looks like, for one glance; the words stand beside it. */
export function SymptomDrawing({
  symptom,
  size = 48,
}: {
  readonly symptom: SymptomId
  readonly size?: number
}) {
  const { fills, lines } = DRAWINGS[symptom]
  return (
    <svg width={size} height={size} viewBox="0 0 48 48" aria-hidden="true" style={{ flex: 'none' }}>
      {fills && <path d={fills} fill="currentColor" />}
      {lines && <path d={lines} fill="none" stroke="currentColor" strokeWidth="2" strokeLinecap="round" />}
    </svg>
  )
}
