import { Box } from '@chakra-ui/react'
import { SAFETY } from '@/core/safety'
import { SeverityMark } from '@/ui/Severity'

/** The caution that stands over a list. */
export function CautionOf({ rule }: { readonly rule: string }) {
  const found = (SAFETY.rules as Readonly<Record<string, { readonly says: string }>>)[rule]
  return found ? (
    <Box mb="2">
      <SeverityMark severity="Watch" word={false} /> {found.says}
    </Box>
  ) : null
}
