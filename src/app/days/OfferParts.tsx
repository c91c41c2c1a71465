import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { PushButton } from '@/ui/PushButton'

/** What something comes to, in sentences. */
export function Says({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) {
  return (
    <>
      {title && <Box fontWeight="650">{title}</Box>}
      {lines.map((line, i) => (
        <Box key={line} fontWeight={i === 0 ? '650' : undefined}>
          {line}
        </Box>
      ))}
    </>
  )
}

/** How far a search is. */
export function Progress({ share, says }: { readonly share: number; readonly says: string }) {
  return (
    <Box mb="1">
      <Box>
        {says}
        {share < 1 && `, ${Math.round(100 * share)} %`}
      </Box>
      <Box height="4px" bg="rule">
        <Box height="4px" bg="ink" style={{ width: `${100 * share}%` }} />
      </Box>
    </Box>
  )
}

/** One of several ways, with what it comes to, to be taken. */
export function WayRow({
  title,
  lines,
  onTake,
  instead,
}: {
  readonly title: string
  readonly lines: readonly string[]
  readonly onTake: () => void
  /** What stands in place of taking it. */
  readonly instead?: ReactNode
}) {
  return (
    <Flex gap="4" align="baseline" py="1.5" borderTop="1px solid" borderColor="rule" wrap="wrap">
      <Box flex="1" minWidth="16rem">
        <Says title={title} lines={lines} />
      </Box>
      {instead ?? (
        <PushButton type="button" onClick={onTake} aria-label={`Take: ${title}`}>
          Take it
        </PushButton>
      )}
    </Flex>
  )
}
