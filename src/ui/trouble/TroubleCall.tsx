import { Box, Flex, Grid } from '@chakra-ui/react'
import { type ReactNode, useEffect, useState } from 'react'
import { message } from '@/core/advice'
import type { Sides } from '@/core/plan'
import { keysOf } from '@/core/quantity'
import { CAME } from '@/core/record'
import {
  type Call,
  type Consulted,
  consult,
  type Knowledge,
  type RemedyId,
  type RunFacts,
  SYMPTOMS,
  type SymptomId,
} from '@/core/trouble'
import { TextButton } from '../Section'
import { SeverityMark } from '../Severity'
import { useSettings } from '../settings'
import { Tap } from '../Tap'
import { Causes } from './Causes'
import { NextLook } from './NextLook'
import { RemedyAtHand } from './RemedyAtHand'
import { SymptomDrawing } from './SymptomDrawing'
import { useCall } from './useCall'
import { WhatIsWrong } from './WhatIsWrong'
import { remedyWords } from './words'

/** What is done about a trouble, with what was believed then. */
export interface Done {
  readonly call: Call
  readonly hit: string
  readonly remedy: RemedyId
  readonly believed: Consulted['believed']
}

interface Props {
  /** What it is kept under over a reload. */
  readonly callKey: string
  readonly facts: RunFacts
  readonly known: Knowledge
  readonly screens: readonly { readonly hit: { readonly id: string; readonly name: string } }[]
  readonly showsOn: (symptom: SymptomId) => string
  /** By screen; none while the models work; away where they cannot be had. */
  readonly sides: Readonly<Record<string, Sides>> | 'away' | undefined
  /** Pieces cured since a test was good; none where nobody counts. */
  readonly held?: number | undefined
  /** A trouble is being told, or none is. */
  readonly onTold?: (isTold: boolean) => void
  /** What is done and not answered yet. */
  readonly open: { readonly remedy: RemedyId; readonly call: Call } | undefined
  readonly onDo: (done: Done) => void
  readonly onCame: (how: keyof typeof CAME) => void
  /** Takes back what was done and not answered yet. */
  readonly onTakeBack: () => void
}

/** From what is seen to what to change first: one look at a time, never typed. */
export function TroubleCall({ callKey, facts, known, screens, showsOn, sides, held, open, ...on }: Props) {
  const state = useCall(callKey)
  const { units } = useSettings()
  const [picked, setPicked] = useState<string>()
  const { call } = state
  const { onTold } = on
  const isTold = call !== undefined
  useEffect(() => onTold?.(isTold), [onTold, isTold])
  if (open)
    return (
      <WhatCame
        remedy={open.remedy}
        onCame={(how) => {
          if (how === 'worked') state.end()
          else state.tried(open.remedy, open.call)
          on.onCame(how)
        }}
        onTakeBack={on.onTakeBack}
      />
    )
  if (!call)
    return (
      <WhatIsWrong
        known={known}
        facts={facts}
        onSymptom={(s) => {
          setPicked(undefined)
          state.begin(s)
        }}
      />
    )
  const told = consult(known, facts, call)
  const hit = picked ?? showsOn(call.symptom)
  const [step] = told.steps
  return (
    <Box role="group" aria-label={`Trouble: ${SYMPTOMS[call.symptom].label}`}>
      <Flex align="center" gap="3" mb="2" wrap="wrap">
        <SymptomDrawing symptom={call.symptom} />
        <Box fontSize="title" fontWeight="750" lineHeight="1.15">
          {SYMPTOMS[call.symptom].label}
        </Box>
        <Flex ml="auto" gap="4">
          {state.undo && <TextButton onClick={state.undo}>Undo last tap</TextButton>}
          <TextButton onClick={state.end}>Another trouble</TextButton>
        </Flex>
      </Flex>
      {told.cautions.map((caution) => (
        <Box
          key={caution.rule}
          fontWeight="700"
          bg="raised"
          borderLeft="8px solid"
          borderColor="ink"
          p="2"
          mb="2"
        >
          <SeverityMark severity="Watch" /> {message(caution, units)}
          {caution.rule === 'HELD_BACK' && held !== undefined && ` That is ${held} by the count.`}
        </Box>
      ))}
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }} gap="6">
        <Box>
          {sides === undefined ? (
            // What the run says moves the list: nothing is asked that would change under the thumb.
            <Box role="status" bg="raised" p="3" fontSize="lead">
              What this run says of it is being worked out.
            </Box>
          ) : (
            told.look && (
              <NextLook
                look={told.look}
                facts={facts}
                known={known}
                onAnswer={state.answer}
                onCannot={state.cannot}
              />
            )
          )}
          <Causes lines={told.lines} />
          <Chips label="Also?">
            {call.also.map((s) => (
              <Tap key={s} chosen onTap={() => state.also(s, false)}>
                {SYMPTOMS[s].label}
              </Tap>
            ))}
            {told.also.map((s) => (
              <Tap key={s} chosen={false} onTap={() => state.also(s, true)}>
                {SYMPTOMS[s].label}
              </Tap>
            ))}
          </Chips>
        </Box>
        <Box>
          {screens.length > 1 && (
            <Chips label="On which screen">
              {screens.map(({ hit: { id, name } }) => (
                <Tap key={id} chosen={id === hit} onTap={() => setPicked(id)}>
                  {name}
                </Tap>
              ))}
            </Chips>
          )}
          {step ? (
            <RemedyAtHand
              key={step}
              remedy={step}
              seconds={known.numbers.seconds(step)}
              spoils={known.numbers.spoils(step)}
              sides={sides === 'away' ? undefined : sides?.[hit]?.[step]}
              models={sides === undefined ? 'work' : sides === 'away' ? 'away' : 'ready'}
              later={told.steps.slice(1, 3)}
              onDo={(remedy) => on.onDo({ call, hit, remedy, believed: told.believed })}
            />
          ) : (
            <Box>Nothing that is known here is left to try. Stop, and let someone else look.</Box>
          )}
        </Box>
      </Grid>
    </Box>
  )
}

function Chips({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box role="group" aria-label={label} mb="3">
      <Box color="soft" mb="1">
        {label}
      </Box>
      <Grid templateColumns="repeat(auto-fill, minmax(9rem, 1fr))" gap="2">
        {children}
      </Grid>
    </Box>
  )
}

function WhatCame({
  remedy,
  onCame,
  onTakeBack,
}: {
  readonly remedy: RemedyId
  readonly onCame: (how: keyof typeof CAME) => void
  readonly onTakeBack: () => void
}) {
  const { units } = useSettings()
  return (
    <Box role="group" aria-label="What came of it">
      <Flex align="baseline" gap="4" mb="2" wrap="wrap">
        <Box fontSize="title" fontWeight="700">
          {remedyWords(remedy, units)}. Print again and look: what came of it?
        </Box>
        <Box ml="auto">
          <TextButton onClick={onTakeBack}>It was not done</TextButton>
        </Box>
      </Flex>
      <Grid templateColumns="repeat(auto-fit, minmax(10rem, 1fr))" gap="2">
        {keysOf(CAME).map((how) => (
          <Tap key={how} tall onTap={() => onCame(how)}>
            {CAME[how]}
          </Tap>
        ))}
      </Grid>
    </Box>
  )
}
