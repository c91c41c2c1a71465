import { Box, Flex } from '@chakra-ui/react'
import {
  type Head,
  type KnobTurns,
  type KnownKnobs,
  knobsSaid,
  type MarkReading,
  type Place,
  type Pose,
  turnedSaid,
} from '@/core/registration'
import { localNow } from '@/ui/clock'
import { PushButton } from '@/ui/PushButton'
import { Section } from '@/ui/Section'
import { Told } from '@/ui/Told'
import { act } from '../../../acts/act'
import { Noting } from './Noting'
import type { Round } from './round'

type Turned = NonNullable<Round['turned']>

interface Props {
  readonly pressId: string
  readonly head: number
  readonly known: KnownKnobs
  /** As seen from the centre of the art. */
  readonly here: Head
  /** Centre of the art from the middle of the frame's clamped end. */
  readonly centre: Place
  readonly marks: readonly MarkReading[]
  /** As the marks show now; none while that is not known. */
  readonly pose: Pose | undefined
  readonly turned: Turned | undefined
  readonly isNoted: boolean
  readonly isSimulated: boolean
  readonly onNoted: (noted: boolean) => void
  /** A knob is turned two full turns clockwise, or back again. */
  readonly onTry: (knob: KnobName, back: boolean) => void
}

export const KNOB_NAMES = ['left', 'right', 'side'] as const
export type KnobName = (typeof KNOB_NAMES)[number]
const SAYS: Readonly<Record<KnobName, string>> = { left: 'Left', right: 'Right', side: 'Side' }

/** A knob is tried by so many turns: two, so that a reading tells (common practice, no source). */
export const TRIED = 2

const alone = (turns: KnobTurns) => KNOB_NAMES.filter((knob) => turns[knob] !== 0).length === 1

/** How a head is adjusted: tried knob by knob, or learnt from each set of turns. */
export function HeadKnobs(props: Props) {
  const { pressId, head, known, here, centre, marks, pose, turned, isNoted, isSimulated, onNoted, onTry } =
    props
  const moved = turned &&
    pose && {
      dx: pose.dx - turned.before.dx,
      dy: pose.dy - turned.before.dy,
      turn: pose.turn - turned.before.turn,
    }
  // A knob that was tried alone and forward can be turned back: what is lost of the way is its play.
  const last = turned && KNOB_NAMES.find((knob) => turned.turns[knob] === TRIED && alone(turned.turns))
  return (
    <Section title={`Knobs of head ${head}`}>
      {turned && moved && (
        <Noting
          label="These turns"
          head={head}
          reasons={turnedSaid(moved, turned.turns, here, marks)}
          isNoted={isNoted}
          isSimulated={isSimulated}
          note={() =>
            act('noteTurn', { pressId, head, at: localNow(), ...turned.turns, ...centre, ...moved })
          }
          forget={() => act('forgetTurn', { pressId, head })}
          onNoted={onNoted}
        />
      )}
      <Told reasons={knobsSaid(known, head)} />
      {turned?.turns.back && (
        <Box mt="2">
          Its play now lies the other way: before anything else is turned, turn it ¼ back and ¼ on, and read
          the marks again.
        </Box>
      )}
      <Box mt="2">
        {pose
          ? 'To try a knob, turn it two full turns clockwise, unlocked, and read the marks again:'
          : 'To try a knob, read the marks first.'}
      </Box>
      {pose && (
        <Flex mt="2" gap="3" wrap="wrap">
          {KNOB_NAMES.map((knob) => (
            <PushButton key={knob} type="button" onClick={() => onTry(knob, false)}>
              {SAYS[knob]} knob turned twice
            </PushButton>
          ))}
          {last && (
            <PushButton type="button" onClick={() => onTry(last, true)}>
              {SAYS[last]} knob turned back: its play
            </PushButton>
          )}
        </Flex>
      )}
    </Section>
  )
}
