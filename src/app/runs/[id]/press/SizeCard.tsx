import { Box, Flex } from '@chakra-ui/react'
import type { Said, Target } from '@/core/record'
import { Button } from '@/ui/elements'
import { SeverityMark } from '@/ui/Severity'
import { Tap } from '@/ui/Tap'

/** Where the focus is when a size is counted. */
export const countId = (target: Target): string => `count ${target.key}`
export const nameOf = ({ size, garment }: Target): string => (garment ? `${size}, ${garment}` : size)

/** What cannot be printed any more: "2 short, 1 spare there". No one has to say that there are spares until then. */
export const shortWords = ({ short, spare }: Target): string =>
  spare > 0 ? `${short} short, ${spare} spare there` : `${short} short unless a spare is there`

/** A size as it is counted: one large target for a piece, one for ten, one for what is spoiled. */
export function SizeCard({
  target,
  say,
  onSpoiled,
}: {
  readonly target: Target
  readonly say: (said: Said) => void
  readonly onSpoiled: () => void
}) {
  const { line, size, ordered, good, spoiled, left, garment, spare, short } = target
  const name = nameOf(target)
  const count = (n: number) => say({ kind: 'count', line, size, n })
  return (
    <Flex direction="column" bg="raised" borderTop="3px solid" borderColor={left > 0 ? 'ink' : 'rule'}>
      <Button
        type="button"
        id={countId(target)}
        aria-label={`${name}: one more good one, ${good} of ${ordered}`}
        onClick={() => count(1)}
        flex="1"
        display="flex"
        flexDirection="column"
        alignItems="flex-start"
        textAlign="left"
        px="3"
        py="2"
        minHeight="8.5rem"
        cursor="pointer"
        style={{ touchAction: 'manipulation' }}
      >
        <Flex align="baseline" gap="3">
          <Box fontSize="figure" fontWeight="750">
            {size}
          </Box>
          <Box color="soft" lineHeight="1.15">
            {garment}
          </Box>
        </Flex>
        <Box as="span" display="block" fontSize="huge" lineHeight="1" fontWeight="750" className="num">
          {Math.abs(left)}
        </Box>
        <Box as="span" display="block">
          {left >= 0 ? 'to print' : 'too many'}, <b>{good}</b> of {ordered} good
          {(spoiled !== 0 || spare !== 0) && (
            <Box as="span" display="block">
              {[spoiled !== 0 && `${spoiled} spoiled`, spare !== 0 && `${spare} spare`]
                .filter(Boolean)
                .join(', ')}
            </Box>
          )}
        </Box>
      </Button>
      {short > 0 && (
        <Box px="3" fontWeight="750" fontSize="lead" role="alert">
          <SeverityMark severity="Watch" word={false} /> {shortWords(target)}
        </Box>
      )}
      <Flex gap="2" p="2" wrap="wrap">
        <Tap onTap={() => count(10)} label={`${name}: ten more good ones`}>
          +10
        </Tap>
        <Tap onTap={onSpoiled} label={`${name}: one is spoiled`}>
          Spoiled
        </Tap>
        <Tap onTap={() => say({ kind: 'spare', line, size, n: 1 })} label={`${name}: one more spare garment`}>
          + spare
        </Tap>
      </Flex>
    </Flex>
  )
}
