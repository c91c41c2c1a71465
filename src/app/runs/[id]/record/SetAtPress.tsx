import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { advicesIn, settled } from '@/core/advice'
import type { RunPlan } from '@/core/plan'
import { type RecordNames, SET_BECAUSE, type Stated, saidOf } from '@/core/record'
import { Section, TextButton } from '@/ui/Section'
import { act } from '../../../acts/act'

/** What was set at the press otherwise than planned, offered to the lead: into the plan, or left. */
export function SetAtPress({
  plan,
  said,
  names,
}: {
  readonly plan: RunPlan
  readonly said: readonly Stated[]
  readonly names: RecordNames
}) {
  const [told, setTold] = useState('')
  const last = new Map(saidOf(said, 'set').map((e) => [e.setting, e]))
  if (last.size === 0) return null
  const advices = new Map(advicesIn(plan).map((a) => [a.key, a]))
  const take = async (setting: string, value: number | string) => {
    const answer = await act('takeIntoPlan', { runId: plan.run.id, setting, value })
    setTold(answer.ok ? `${names.setting(setting)} is in the plan: release it again.` : answer.message)
  }
  return (
    <Section title="Set otherwise at the press">
      {[...last.values()].map((e) => {
        const advice = advices.get(e.setting)
        return (
          <Flex
            key={e.id}
            gap="5"
            py="1.5"
            align="baseline"
            borderTop="1px solid"
            borderColor="rule"
            wrap="wrap"
          >
            <Box flex="1 1 12rem" fontWeight="650">
              {names.setting(e.setting)}
            </Box>
            <Box fontSize="lead" fontWeight="700" className="num">
              {names.value(e.setting, e.value)}
            </Box>
            <Box color="soft" flex="1 1 14rem">
              {advice && `planned ${names.value(e.setting, settled(advice))}. `}
              {SET_BECAUSE[e.why]}
              {e.by && `, ${e.by}`}
            </Box>
            <TextButton onClick={() => void take(e.setting, e.value)}>Take into the plan</TextButton>
          </Flex>
        )
      })}
      {told && <Box role="status">{told}</Box>}
    </Section>
  )
}
