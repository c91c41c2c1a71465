import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { headsOf, headTurned } from '@/core/equipment'
import { planChanges, type RunPlan } from '@/core/plan'
import { Differences } from '@/ui/Differences'
import { Section, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useOrder } from '../../orderContext'
import type { PlanProps } from '../planProps'

const Button = chakra('button')

/** Heads of the press: one goes down or works again, the rest is planned anew at once, and what changes is told. */
export function Heads({ plan }: PlanProps) {
  const { setPress } = useOrder()
  /** The plan before the head was turned. */
  const [before, setBefore] = useState<{ readonly head: number; readonly plan: RunPlan }>()
  const [problem, setProblem] = useState('')
  const heads = headsOf(plan.press)
  if (heads.length === 0) return null
  const turn = async (head: number) => {
    setBefore({ head, plan })
    setProblem(await setPress(headTurned(plan.press, head)))
  }
  const changed = before && before.plan !== plan ? planChanges(before.plan, plan) : undefined
  const works = heads.find((h) => h.number === before?.head)?.works
  return (
    <Section title="Heads now">
      <Flex gap="1.5" wrap="wrap" role="group" aria-label={`Heads of ${plan.press.name}`}>
        {heads.map((h) => (
          <Button
            key={h.number}
            type="button"
            aria-pressed={!h.works}
            aria-label={`Head ${h.number}: ${h.works ? 'works' : 'down'}`}
            onClick={() => turn(h.number)}
            minWidth="2.6rem"
            minHeight="2.4rem"
            border="1px solid"
            borderColor="soft"
            fontWeight="650"
            cursor="pointer"
            bg={h.works ? 'transparent' : 'ink'}
            color={h.works ? 'ink' : 'work'}
            textDecoration={h.works ? 'none' : 'line-through'}
          >
            {h.number}
          </Button>
        ))}
        <Box color="soft" fontSize="0.87rem" alignSelf="center" ml="2">
          Press the number of a head that fails; press it again when it works.
        </Box>
      </Flex>
      {problem && (
        <Box role="alert" mt="2">
          <SeverityMark severity="Stop" /> {problem}
        </Box>
      )}
      {before && changed && (
        <Box mt="3" role="status" aria-label="What changes">
          <Flex gap="3" align="baseline">
            <b>
              Head {before.head} {works ? 'works again' : 'is down'}
              {changed.length === 0 ? ': nothing else changes.' : ': what changes'}
            </b>
            <TextButton onClick={() => setBefore(undefined)}>close</TextButton>
          </Flex>
          {changed.length > 0 && <Differences changes={changed} />}
        </Box>
      )}
    </Section>
  )
}
