'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useCallback, useMemo } from 'react'
import { CRAFT_ROOMS } from '@/core/craft'
import type { OwnStep } from '@/core/equipment'
import { craftListsOf, recordNames } from '@/core/plan'
import { keysOf } from '@/core/quantity'
import { type Said, saidOf } from '@/core/record'
import type { SheetFacts } from '@/formats/sheet'
import { Link, PageTitle } from '@/ui/elements'
import { Section, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { AskFrame } from '../../../AskFrame'
import { CautionOf } from '../press/CautionOf'
import { StepRow } from '../press/StepRow'
import { type Told, useRecord } from '../press/useRecord'

interface Props {
  readonly facts: SheetFacts
  readonly told: Told
  readonly own: readonly OwnStep[]
}

/** The lists of a run, room by room. */
export function RunLists({ facts: { order, plan, shopName }, told, own }: Props) {
  const { units } = useSettings()
  const { recorded, say: keep, problem } = useRecord(plan.run.id, told)
  const say = useCallback((what: Said) => void keep(what), [keep])
  const names = useMemo(() => recordNames(plan, units, own), [plan, units, own])
  const lists = useMemo(() => craftListsOf(plan, own), [plan, own])
  const ticks = saidOf(recorded.said, 'tick')
  return (
    <AskFrame shopName={shopName}>
      <Flex gap="4" align="baseline" wrap="wrap" mb="4">
        <PageTitle>Lists</PageTitle>
        <Box>
          {order.customer}, {order.title}, {plan.run.id}, {plan.press.name}
        </Box>
        <Flex gap="4" ml="auto" className="no-print">
          <TextButton onClick={() => window.print()}>Print</TextButton>
          <Link href={`/orders/${order.id}/run?run=${plan.run.id}`} textDecoration="underline">
            The order
          </Link>
        </Flex>
      </Flex>
      {problem && <Box role="alert">{problem}</Box>}
      {keysOf(CRAFT_ROOMS).map((room) => (
        <Section key={room} title={CRAFT_ROOMS[room]}>
          {lists
            .filter((l) => l.room === room)
            .map((list) => (
              <Box key={`${list.id} ${list.subject.hit}`} mb="4">
                <Box as="h3" fontWeight="750">
                  {[list.title, list.subject.name].filter(Boolean).join(' ')}
                </Box>
                {list.caution && <CautionOf rule={list.caution} />}
                {list.steps.map((step) => (
                  <StepRow
                    key={step.key}
                    step={step}
                    hit={list.subject.hit}
                    tick={ticks.findLast((t) => t.step === step.key && t.hit === list.subject.hit)}
                    took={undefined}
                    {...{ plan, recorded, said: recorded.said, names, say }}
                  />
                ))}
              </Box>
            ))}
        </Section>
      ))}
    </AskFrame>
  )
}
