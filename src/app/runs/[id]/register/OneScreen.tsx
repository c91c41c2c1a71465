import { Box, Flex, Grid } from '@chakra-ui/react'
import {
  type Aid,
  asOperatorSees,
  type Drift,
  driftSaid,
  headAt,
  type KnownKnobs,
  knobsOf,
  type LookHere,
  less,
  lockSaid,
  type Place,
  registrationAid,
} from '@/core/registration'
import { localNow } from '@/ui/clock'
import { Pick } from '@/ui/given'
import { PushButton } from '@/ui/PushButton'
import { Section } from '@/ui/Section'
import { Told } from '@/ui/Told'
import { act } from '../../../acts/act'
import { HeadKnobs, KNOB_NAMES, type KnobName, TRIED } from './HeadKnobs'
import { MarkFields } from './MarkFields'
import { MarksDrawing } from './MarksDrawing'
import { MARK_SETS, type MarkSet, marksOf, READ_BY, READ_IN, type ReadBy, type ReadIn } from './marks'
import { Noting } from './Noting'
import { headOf, READERS, type Reader, takeUp, useRound } from './round'
import { Turns } from './Turns'
import { WhereToLook } from './WhereToLook'

const COLLAR = [
  { id: 'away', name: 'Collar away from you' },
  { id: 'towards', name: 'Collar towards you' },
] as const
const BY = (Object.keys(READ_BY) as ReadBy[]).map((id) => ({ id, name: READ_BY[id].name }))
const SETS = (Object.keys(MARK_SETS) as MarkSet[]).map((id) => ({ id, name: MARK_SETS[id].name }))
const IN = (Object.keys(READ_IN) as ReadIn[]).map((id) => ({ id, name: READ_IN[id] }))
const WHO = (Object.keys(READERS) as Reader[]).map((id) => ({ id, name: READERS[id] }))

/** How the marks are read, and which way round the garment lies: the same for one screen after another. */
export interface Stand {
  readonly by: ReadBy
  readonly set: MarkSet
  readonly unit: ReadIn
  readonly collar: string
}

interface Props {
  readonly id: string
  readonly name: string
  /** What it is registered on, in words. */
  readonly target: string
  readonly art: { readonly width: number; readonly height: number }
  /** What the job forgives, metres. */
  readonly allows: number | undefined
  readonly pressId: string
  readonly head: number | undefined
  readonly drift: Drift
  readonly knobs: KnownKnobs
  /** Centre of the art from the middle of the frame's clamped end. */
  readonly centre: Place
  /** Where a miss of this screen shows first, collar up. */
  readonly look: readonly LookHere[]
  readonly stand: Stand
  readonly onStand: (stand: Stand) => void
}

const ASSUMED = knobsOf([])

/** What the marks of one screen show, what to turn, and how it moves when it is locked. */
export function OneScreen(props: Props) {
  const { id, name, target, art, allows, pressId, head, drift, knobs, centre, look, stand, onStand } = props
  const { round, keep, type, agree } = useRound(id)
  const { by, set, unit, collar } = stand
  const { typed, number, locked, reader } = round
  const simulated = headOf(id, reader)
  const marks = asOperatorSees(marksOf(typed, art, by, set), collar === 'towards')
  // A lock that is in the reading already is not to be turned against.
  const seen = look.map((l) => (collar === 'towards' ? { ...l, x: -l.x, y: -l.y } : l))
  // What is learnt of a head of the press says nothing of a simulated one.
  const adjusters = simulated ? ASSUMED : knobs
  const here = headAt(adjusters.head, centre)
  const aid = registrationAid(marks, here, locked || simulated ? undefined : drift.against, allows)
  const known = 'missing' in aid ? undefined : aid
  const isTurned = known && !known.leave && !known.stop
  const read = () => {
    if (number === 1 && !locked && simulated) takeUp(simulated)
    const shown = simulated?.read(marks, READ_BY[by].spread) ?? []
    keep({
      ...round,
      typed: Object.fromEntries(
        MARK_SETS[set].marks.map((n, i) => [n, { dx: shown[i]?.dx, dy: shown[i]?.dy }]),
      ),
    })
  }
  const turn = (made: Aid) => {
    for (const [knob, { moves }] of made.correction.turns.entries())
      for (const turns of moves) simulated?.turn(knob, turns)
  }
  const { locked: _, noted: __, turned: ___, ...open } = round
  const next = () => {
    simulated?.unlock()
    if (!isTurned) return keep({ ...open, typed: {}, number: number + 1 })
    turn(known)
    const [left = 0, right = 0, side = 0] = known.correction.turns.map((t) => t.turns)
    // What it moved when it was unlocked is in what is read next: of the knobs alone that tells nothing.
    const turned = !locked && {
      turned: { before: known.pose, turns: { left, right, side, back: false } },
    }
    keep({ ...open, typed: {}, number: number + 1, ...turned })
  }
  const tried = (knob: KnobName, back: boolean) => {
    if (!known) return
    const by = back ? -TRIED : TRIED
    simulated?.turn(KNOB_NAMES.indexOf(knob), by)
    const turns = { left: 0, right: 0, side: 0, [knob]: by, back }
    keep({ ...open, typed: {}, number: number + 1, turned: { before: known.pose, turns } })
  }
  const lock = () => {
    simulated?.lock()
    keep({ ...open, typed: {}, locked: { before: known?.pose } })
  }
  const before = locked?.before
  const state = `round ${number}${locked ? ', locked' : ''}`
  return (
    <>
      <Section
        title={`What the marks of ${name} show`}
        side={
          <Box fontSize="small" color="soft">
            {state}
          </Box>
        }
      >
        <Grid
          templateColumns={{ base: 'minmax(0, 1fr)', md: '11rem minmax(0, 1fr)', lg: '22rem minmax(0, 1fr)' }}
          gap="5"
        >
          <MarksDrawing
            marks={marks}
            places={seen}
            now={known?.pose}
            then={isTurned ? known.correction.left : undefined}
            onDrag={(at, dx, dy) => {
              const mark = MARK_SETS[set].marks[at]
              if (mark) keep({ ...round, typed: { ...typed, [mark]: { dx, dy } } })
            }}
          />
          <Box>
            {simulated && (
              <Box mb="2">
                <PushButton type="button" onClick={read}>
                  Read the marks
                </PushButton>
              </Box>
            )}
            {number === 1 && !locked && (
              <Box mb="1">
                Unlocked, first turn each knob ¼ back and ¼ on again: its play is then taken up the way every
                move ends.
              </Box>
            )}
            <Box color="soft" fontSize="small" mb="1">
              How far the screen’s mark lies from {target}, as you see it: to the right and away from you +,
              to the left and towards you −. Leave empty what you cannot read, or drag the marks in the
              drawing.
            </Box>
            <MarkFields
              marks={MARK_SETS[set].marks}
              unit={unit}
              typed={typed}
              round={`${reader} ${state}`}
              onType={type}
              onAgree={agree}
            />
            <Grid templateColumns="repeat(auto-fit, minmax(9rem, 1fr))" gap="3" mt="4">
              <Pick
                label="Read"
                value={by}
                options={BY}
                onPick={(x) => onStand({ ...stand, by: x as ReadBy })}
              />
              <Pick
                label="Read in"
                value={unit}
                options={IN}
                onPick={(x) => onStand({ ...stand, unit: x as ReadIn })}
              />
              <Pick
                label="Marks"
                value={set}
                options={SETS}
                onPick={(x) => onStand({ ...stand, set: x as MarkSet })}
              />
              <Pick
                label="The pallet"
                value={collar}
                options={COLLAR}
                onPick={(x) => onStand({ ...stand, collar: x })}
              />
              <Pick
                label="Read by"
                value={reader}
                options={WHO}
                onPick={(x) => keep({ typed: {}, number: 1, reader: x as Reader })}
              />
            </Grid>
          </Box>
        </Grid>
      </Section>
      <Section
        title={known?.leave ? 'Leave it' : known?.stop ? 'Look first, turn nothing yet' : 'What to turn'}
      >
        {'missing' in aid ? (
          <Told reasons={[aid.missing]} />
        ) : (
          <>
            {isTurned && <Turns aid={aid} moves={adjusters.moves} />}
            <Told reasons={aid.reasons} />
          </>
        )}
        <Flex mt="3" gap="3" wrap="wrap">
          <PushButton type="button" onClick={next}>
            {locked ? 'Unlocked and turned: read again' : 'Turned: read again'}
          </PushButton>
          {!locked && (
            <PushButton type="button" onClick={lock}>
              Locked as it lies: read again
            </PushButton>
          )}
        </Flex>
      </Section>
      <WhereToLook places={seen} />
      {head !== undefined && (
        <HeadKnobs
          {...{ pressId, head, here, centre, marks }}
          known={adjusters}
          pose={locked ? undefined : known?.pose}
          turned={round.turned}
          isNoted={round.noted === true}
          isSimulated={simulated !== undefined}
          onNoted={(noted) => keep({ ...round, noted })}
          onTry={tried}
        />
      )}
      {head !== undefined && (
        <Section title={`Head ${head} when it is locked`}>
          {before && known && (
            <Noting
              label="This lock"
              head={head}
              reasons={[lockSaid(less(known.pose, before))]}
              note={() =>
                act('noteLock', {
                  ...{ pressId, head, at: localNow() },
                  ...less(known.pose, before),
                })
              }
              forget={() => act('forgetLock', { pressId, head })}
              isNoted={round.noted === true}
              isSimulated={simulated !== undefined}
              onNoted={(noted) => keep({ ...round, noted })}
            />
          )}
          {drift.locks === 0 ? (
            <Box color="soft">
              Nothing is noted yet. Read the marks, lock without turning, read them again: how far locking
              moved it is then noted, and turned against from the third lock on.
            </Box>
          ) : (
            <Told reasons={driftSaid(drift, head)} />
          )}
        </Section>
      )}
    </>
  )
}
