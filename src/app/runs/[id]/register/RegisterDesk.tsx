'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { q } from '@/core/advice'
import { asOperatorSees, REGISTRATION, registrationAid, USUAL_HEAD } from '@/core/registration'
import type { SheetFacts } from '@/formats/sheet'
import { AskNumber } from '@/ui/AskNumber'
import { Cautions } from '@/ui/Cautions'
import { Link, PageTitle } from '@/ui/elements'
import { Pick, QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { Headline } from '@/ui/parts'
import { Section, TextButton } from '@/ui/Section'
import { Told } from '@/ui/Told'
import { AskFrame } from '../../../AskFrame'
import { MarksDrawing } from './MarksDrawing'
import { MARKS, type MarkName, marksOf, READ_BY, type ReadBy, type Typed } from './marks'
import { sayTurns } from './sayTurns'

const COLLAR = [
  { id: 'away', name: 'Collar away from you' },
  { id: 'towards', name: 'Collar towards you' },
] as const
const BY = (Object.keys(READ_BY) as ReadBy[]).map((id) => ({ id, name: READ_BY[id].name }))

/** What was typed for a screen stays for as long as the tab lives: the press is walked round. */
interface Round {
  readonly typed: Typed
  readonly round: number
}
const kept = new Map<string, Round>()
const NONE: Round = { typed: {}, round: 1 }

/** At the press: what the marks of a screen show, and what to turn. */
export function RegisterDesk({ facts: { order, plan, shopName } }: { readonly facts: SheetFacts }) {
  const screens = plan.hits.filter((h) => !h.sameScreenAs)
  const [hitId, setHit] = useState(screens[0]?.hit.id ?? '')
  const hit = screens.find((h) => h.hit.id === hitId) ?? screens[0]
  return (
    <AskFrame shopName={shopName}>
      <Flex gap="4" align="baseline" wrap="wrap" mb="3">
        <PageTitle>Register</PageTitle>
        <Box>
          {order.customer}, {plan.run.id}, {plan.press.name}
        </Box>
        <Link href={`/orders/${order.id}/sequence?run=${plan.run.id}`} textDecoration="underline" ml="auto">
          Back to the order
        </Link>
      </Flex>
      {hit ? (
        <>
          <Box maxWidth="22rem" mb="4">
            <Pick
              label="Screen"
              value={hit.hit.id}
              options={screens.map((s) => ({
                id: s.hit.id,
                name: s.head === undefined ? s.hit.name : `${s.hit.name}, head ${s.head}`,
              }))}
              onPick={setHit}
            />
          </Box>
          <OneScreen
            key={hit.hit.id}
            id={`${plan.run.id} ${hit.hit.id}`}
            name={hit.hit.name}
            art={plan.run.placement}
          />
        </>
      ) : (
        <Box>This run has no screens yet.</Box>
      )}
      <Cautions at={plan.press.kind === 'automatic' ? 'automatic' : 'byHand'} />
    </AskFrame>
  )
}

interface ScreenProps {
  readonly id: string
  readonly name: string
  readonly art: { readonly width: number; readonly height: number }
}

function OneScreen({ id, name, art }: ScreenProps) {
  const [{ typed, round }, setState] = useState<Round>(() => kept.get(id) ?? NONE)
  const [by, setBy] = useState<ReadBy>('paper')
  const [collar, setCollar] = useState<string>('away')
  const keep = (next: Round) => {
    kept.set(id, next)
    setState(next)
  }
  const marks = asOperatorSees(marksOf(typed, art, by), collar === 'towards')
  const aid = registrationAid(marks, USUAL_HEAD)
  const known = 'missing' in aid ? undefined : aid
  const give = (mark: MarkName, axis: 'dx' | 'dy', value: number | undefined) =>
    keep({ typed: { ...typed, [mark]: { ...typed[mark], [axis]: value } }, round })
  const agree = (mark: MarkName) => keep({ typed: { ...typed, [mark]: { dx: 0, dy: 0 } }, round })
  return (
    <>
      <Section
        title={`What the marks of ${name} show`}
        side={
          <Box fontSize="small" color="soft">
            round {round}
          </Box>
        }
      >
        <Grid
          templateColumns={{ base: 'minmax(0, 1fr)', md: '11rem minmax(0, 1fr)', lg: '22rem minmax(0, 1fr)' }}
          gap="5"
        >
          <MarksDrawing
            marks={marks}
            now={known?.pose}
            then={known && !known.leave && !known.stop ? known.correction.left : undefined}
          />
          <Box>
            <Grid templateColumns="minmax(0, 1fr) minmax(0, 1fr)" gap="3" mb="3">
              <Pick label="Read" value={by} options={BY} onPick={(x) => setBy(x as ReadBy)} />
              <Pick label="The pallet" value={collar} options={COLLAR} onPick={setCollar} />
            </Grid>
            <Box color="soft" fontSize="small" mb="1">
              How far the screen’s mark lies from its target, as you see it: to the right and away from you +,
              to the left and towards you −. Leave empty what you cannot read.
            </Box>
            {(Object.keys(MARKS) as MarkName[]).map((mark) => (
              <Flex
                key={`${round} ${mark}`}
                role="group"
                aria-label={`Mark ${MARKS[mark]}`}
                gap="3"
                align="end"
                py="1"
                borderTop="1px solid"
                borderColor="rule"
              >
                <Box width="3.6rem" flex="none" fontWeight="650" pb="1.5">
                  {MARKS[mark]}
                </Box>
                <Box flex="0 1 7.5rem" minWidth="0">
                  <QuantityInput
                    label="Right +"
                    kind="fine"
                    value={typed[mark]?.dx}
                    onGive={(x) => give(mark, 'dx', x)}
                    onEmpty={() => give(mark, 'dx', undefined)}
                  />
                </Box>
                <Box flex="0 1 7.5rem" minWidth="0">
                  <QuantityInput
                    label="Away +"
                    kind="fine"
                    value={typed[mark]?.dy}
                    onGive={(x) => give(mark, 'dy', x)}
                    onEmpty={() => give(mark, 'dy', undefined)}
                  />
                </Box>
                <TextButton flex="none" onClick={() => agree(mark)} aria-label={`${MARKS[mark]} agrees`}>
                  agrees
                </TextButton>
              </Flex>
            ))}
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
            {!aid.leave && !aid.stop && (
              <Flex columnGap="8" rowGap="3" wrap="wrap" mb="3">
                {aid.correction.turns.map((t) => (
                  <Headline key={t.knob.name} label={`${t.knob.name} knob`}>
                    <AskNumber
                      label={`Turns of the ${t.knob.name} knob`}
                      reasons={[
                        REGISTRATION.because('AID_KNOB', {
                          name: t.knob.name,
                          exact: q('turns', t.exact),
                          turns: q('turns', t.turns),
                          pitch: q('fine', USUAL_HEAD.pitch),
                        }),
                      ]}
                    >
                      {sayTurns(t.turns)}
                    </AskNumber>
                    {t.moves.length > 1 && (
                      <Box fontSize="small" fontWeight="400">
                        {t.moves.map(sayTurns).join(', then ')}: the play stays taken up
                      </Box>
                    )}
                  </Headline>
                ))}
                <Headline label="Will be left">
                  <AskNumber label="Will be left" reasons={aid.reasons.slice(-1)}>
                    <Measure kind="fine" value={aid.left} />
                  </AskNumber>
                </Headline>
              </Flex>
            )}
            <Told reasons={aid.reasons} />
          </>
        )}
        <Box mt="3">
          <PushButton type="button" onClick={() => keep({ typed: {}, round: round + 1 })}>
            Turned and locked: read again
          </PushButton>
        </Box>
      </Section>
    </>
  )
}
