import { Box, Flex } from '@chakra-ui/react'
import { headTurned, type Press } from '@/core/equipment'
import { Button } from '@/ui/elements'
import { toggleFlash } from './pressKinds'

/** The press unrolled: each head or station, whether it works, and whether a flash may stand there. */
export function Strip({
  press,
  of,
  onChange,
}: {
  readonly of: string | undefined
  readonly press: Press
  readonly onChange: (press: Press) => void
}) {
  if (press.kind === 'bench') return null
  const named = of ? ` of ${of}` : ''
  const places =
    press.kind === 'automatic'
      ? press.stations
      : Array.from({ length: press.heads }, (_, i) => ({
          number: i + 1,
          usable: !press.down.includes(i + 1),
          flashAllowed: false,
        }))
  return (
    <Flex mt="3" as="ul" listStyleType="none" aria-label={`Places of ${press.name}`} wrap="wrap">
      {places.map((p) => (
        <Box as="li" key={p.number} flex="1 1 0" minWidth="3.2rem" maxWidth="5rem">
          <Button
            type="button"
            aria-pressed={!p.usable}
            aria-label={`${press.kind === 'automatic' ? 'Station' : 'Head'} ${p.number}${named} ${p.usable ? 'works' : 'out of service'}`}
            onClick={() => onChange(headTurned(press, p.number))}
            display="block"
            width="100%"
            height="2.9rem"
            bg={p.usable ? 'raised' : 'transparent'}
            border="1px solid"
            borderStyle={p.usable ? 'solid' : 'dashed'}
            borderColor="soft"
            cursor="pointer"
            lineHeight="1.05"
          >
            <Box as="span" display="block" fontWeight="700" fontSize="lead">
              {p.number}
            </Box>
            <Box as="span" fontSize="small">
              {p.usable ? '' : 'out'}
            </Box>
          </Button>
          {press.kind === 'automatic' && (
            <Button
              type="button"
              aria-pressed={p.flashAllowed}
              aria-label={`Flash at station ${p.number}${named}: ${p.flashAllowed ? 'may stand' : 'may not stand'}`}
              onClick={() => onChange(toggleFlash(press, p.number))}
              display="block"
              width="100%"
              fontSize="small"
              py="0.5"
              color="soft"
              cursor="pointer"
            >
              {p.flashAllowed ? 'flash' : 'no flash'}
            </Button>
          )}
        </Box>
      ))}
    </Flex>
  )
}
