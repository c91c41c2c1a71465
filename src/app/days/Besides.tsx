import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { dryerWork, inkWork, type Lanes, screenWork } from '@/core/days'
import type { Dryer } from '@/core/equipment'
import type { Moment } from '@/core/schedule'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { narrow } from './LaneBar'
import { LABEL } from './Lanes'
import { clockWords } from './said'
import { partsOf, type Window } from './scale'

interface Props {
  readonly lanes: Lanes
  readonly dryers: readonly Dryer[]
  /** Names of inks that are short, by run. */
  readonly inkShort: Readonly<Record<string, readonly string[]>>
  readonly windows: readonly Window[]
}

/** Thin lanes of what goes on beside the presses: the screen room, the ink room, what each dryer runs. */
export function Besides({ lanes, dryers, inkShort, windows }: Props) {
  // A tunnel that stands still says nothing.
  const tunnels = dryerWork(
    lanes,
    dryers.map((d) => d.id),
  ).filter((d) => d.spans.length > 0)
  const made = screenWork(lanes)
  const draw = { windows, now: lanes.now }
  return (
    <>
      <Thin name="Screen room" href="/screens">
        {made.map(({ from, to, of }, i) => (
          <Stretch
            key={of[0]?.runId}
            {...{ ...draw, from, to }}
            // One set dries while the next is begun.
            until={Math.min(to, made[i + 1]?.from ?? to)}
            label={`Screens of ${of[0]?.words}`}
          >
            {of[0]?.words}
          </Stretch>
        ))}
      </Thin>
      <Thin name="Ink to mix by" href="/ink">
        {inkWork(lanes, inkShort).map(({ from, of, inks }) => (
          <Stretch
            key={of[0]?.runId}
            // An hour before, wide enough to be read: it says by when, not how long it is mixed.
            {...{ ...draw, from: Math.max(lanes.now, from - 3600), to: from }}
            label={`Ink for ${[...new Set(of.map((f) => f.words))].join(' and ')}: ${inks.join(', ')}`}
            isMark
          >
            {inks.length}
          </Stretch>
        ))}
      </Thin>
      {tunnels.map(({ id, spans }) => (
        <Thin key={id} name={dryers.find((d) => d.id === id)?.name ?? id} href="/shop/heat">
          {spans.map(({ from, to, film, of }) => (
            <Stretch
              key={`${from} ${of[0]?.runId}`}
              {...{ ...draw, from, to }}
              label={of.map((f) => f.words).join(', ')}
            >
              <Measure kind="temperature" value={film} />
            </Stretch>
          ))}
        </Thin>
      ))}
    </>
  )
}

function Thin({
  name,
  href,
  children,
}: {
  readonly name: string
  readonly href: string
  readonly children: ReactNode
}) {
  return (
    <Flex borderTop="1px solid" borderColor="rule" align="center" fontSize="small">
      <Box flex="none" width={LABEL} pr="2" truncate>
        <Link href={href} _hover={{ textDecoration: 'underline' }} color="soft">
          {name}
        </Link>
      </Box>
      <Box
        position="relative"
        flex="1"
        minWidth="0"
        height="24px"
        role="group"
        aria-label={`Work of ${name}`}
      >
        {children}
      </Box>
    </Flex>
  )
}

/** One stretch of work; a mark ends where something is wanted, and says nothing of when it is done. */
function Stretch({
  windows,
  now,
  from,
  to,
  until = to,
  label,
  isMark = false,
  children,
}: {
  readonly windows: readonly Window[]
  readonly now: Moment
  readonly from: Moment
  readonly to: Moment
  /** It is drawn so far. */
  readonly until?: Moment
  readonly label: string
  readonly isMark?: boolean
  readonly children: ReactNode
}) {
  const when = isMark ? `by ${clockWords(to, now)}` : `${clockWords(from, now)} to ${clockWords(to, now)}`
  return partsOf(windows, from, until).map((part) => (
    <Flex
      key={part.left}
      role="img"
      aria-label={`${label}, ${when}`}
      title={`${label}, ${when}`}
      position="absolute"
      top="3px"
      bottom="3px"
      align="center"
      justify={isMark ? 'flex-end' : 'flex-start'}
      px="1"
      overflow="hidden"
      whiteSpace="nowrap"
      border={isMark ? 'none' : '1px solid'}
      borderRight={isMark ? '2px solid' : undefined}
      borderColor={isMark ? 'ink' : 'rule'}
      bg={isMark ? 'transparent' : 'raised'}
      css={isMark ? undefined : narrow('3rem')}
      style={
        isMark
          ? { right: `${100 * (1 - part.left - part.width)}%`, width: `max(${100 * part.width}%, 1.2rem)` }
          : { left: `${100 * part.left}%`, width: `${100 * part.width}%` }
      }
    >
      <Box truncate minWidth="0">
        {children}
      </Box>
    </Flex>
  ))
}
