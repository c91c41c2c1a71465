import { Box, Flex } from '@chakra-ui/react'
import {
  type Head,
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
  /** A knob is turned two full turns clockwise. */
  readonly onTry: (knob: 0 | 1 | 2) => void
}

const KNOBS = [0, 1, 2] as const
const TRIED_SAYS = ['Left', 'Right', 'Side'] as const

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
  return (
    <Section title={`Knobs of head ${head}`}>
      {turned && moved && (
        <Noting
          label="These turns"
          head={head}
          reasons={turnedSaid(moved, turned.knobs, here, marks)}
          isNoted={isNoted}
          isSimulated={isSimulated}
          note={() => {
            const [left, right, side] = turned.knobs
            return act('noteTurn', { pressId, head, at: localNow(), left, right, side, ...centre, ...moved })
          }}
          forget={() => act('forgetTurn', { pressId, head })}
          onNoted={onNoted}
        />
      )}
      <Told reasons={knobsSaid(known, head)} />
      <Box mt="2">
        {pose
          ? 'To try a knob, turn it two full turns clockwise, unlocked, and read the marks again:'
          : 'To try a knob, read the marks first.'}
      </Box>
      {pose && (
        <Flex mt="2" gap="3" wrap="wrap">
          {KNOBS.map((knob) => (
            <PushButton key={knob} type="button" onClick={() => onTry(knob)}>
              {TRIED_SAYS[knob]} knob turned twice
            </PushButton>
          ))}
        </Flex>
      )}
    </Section>
  )
}
