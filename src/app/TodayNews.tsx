import { Box, Flex } from '@chakra-ui/react'
import { Link } from '@/ui/elements'
import { SeverityMark } from '@/ui/Severity'
import { PotLife } from './ink/PotLife'

/** What the screen room has before it. */
export interface ScreensToday {
  readonly waiting: number
  /** That should have been begun. */
  readonly late: number
  /** Without a free frame. */
  readonly bare: number
}

/** One line about the screen room, worst first; nothing when no screen waits. */
export function ScreenNews({ waiting, late, bare }: ScreensToday) {
  if (waiting === 0) return null
  return (
    <Link
      href="/screens"
      display="flex"
      gap="3"
      alignItems="baseline"
      bg="raised"
      px="3"
      py="1.5"
      mb="3"
      _hover={{ textDecoration: 'underline' }}
    >
      {late + bare > 0 && <SeverityMark severity="Watch" />}
      <Box as="span" fontWeight="650">
        {late > 0 && `${late} ${late === 1 ? 'screen' : 'screens'} should have been begun. `}
        {bare > 0 && `${bare} ${bare === 1 ? 'has' : 'have'} no free frame. `}
      </Box>
      <Box as="span" color="soft">
        {waiting} not mounted yet
      </Box>
    </Link>
  )
}

/** Ink that runs out of time, with how much of it is left. */
export interface LimitedInk {
  readonly id: string
  readonly name: string
  readonly expires: string
}

/** Tubs of ink that does not keep. */
export function InkNews({ tubs }: { readonly tubs: readonly LimitedInk[] }) {
  if (tubs.length === 0) return null
  return (
    <Flex bg="raised" px="3" py="1.5" mb="3" columnGap="6" wrap="wrap">
      {tubs.map((t) => (
        <Flex key={t.id} gap="2" align="baseline">
          <Link href={`/ink/bench/${t.id}`} _hover={{ textDecoration: 'underline' }}>
            {t.name}, {t.id}
          </Link>
          <PotLife expires={t.expires} />
        </Flex>
      ))}
    </Flex>
  )
}
