import { Box, Flex } from '@chakra-ui/react'
import same from 'fast-deep-equal'
import { useState } from 'react'
import { message } from '@/core/advice'
import { keptGood, settingsOf } from '@/core/plan'
import { FAULTS, type Fault, remedies } from '@/core/stroke'
import { localNow } from '@/ui/clock'
import { useDesk } from '@/ui/desk'
import { Pick } from '@/ui/given'
import { Section, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../orderContext'
import type { PlanProps } from './planProps'

/** What is seen at the sample, and what to change first; one press changes it. */
export function SampleFault({ plan }: PlanProps) {
  const { units } = useSettings()
  const { override } = useDesk()
  const [fault, setFault] = useState('')
  const [picked, setHit] = useState('')
  const hit = plan.hits.find((h) => h.hit.id === picked) ?? plan.hits[0]
  if (!hit) return null
  const list = fault === '' ? [] : remedies(fault as Fault, hit.hit.name, hit.stroke)
  return (
    <Section title="Seen at the sample" side={<SampleGood plan={plan} />}>
      <Flex gap="4" mb="2">
        <Box width="13rem">
          <Pick
            label="Hit"
            value={hit.hit.id}
            options={plan.hits.map((h) => ({ id: h.hit.id, name: h.hit.name }))}
            onPick={setHit}
          />
        </Box>
        <Box width="17rem">
          <Pick
            label="What is seen"
            value={fault}
            options={[
              { id: '', name: 'nothing wrong' },
              ...Object.entries(FAULTS).map(([id, f]) => ({ id, name: f.label })),
            ]}
            onPick={setFault}
          />
        </Box>
      </Flex>
      {list.length > 0 && (
        <Box as="ol" pl="5" listStyleType="decimal" aria-label="What to change first">
          {list.map(({ reason, change }) => (
            <Box as="li" key={reason.rule} py="1">
              {message(reason, units)}{' '}
              {change && (
                <TextButton
                  onClick={() => override(change.key, change.value)}
                  aria-label={`Do this: ${message(reason, units)}`}
                >
                  do this
                </TextButton>
              )}
            </Box>
          ))}
        </Box>
      )}
      {list.length > 1 && <Box color="soft">One change at a time, then print again and look.</Box>}
    </Section>
  )
}

/** A good sample: its settings are the shop's own for alike screens from now on. */
function SampleGood({ plan }: PlanProps) {
  const { order, shelf, changeShop } = useOrder()
  const [problem, setProblem] = useState('')
  const good = settingsOf(plan, order, localNow().slice(0, 10))
  const kept = shelf.shop.approved.filter((p) => good.some((g) => g.id === p.id))
  const asNow = good.every((g) => kept.some((k) => same({ ...k, on: g.on }, g)))
  const keep = async () => setProblem(await changeShop((shop) => keptGood(shop, good)))
  const forget = async () =>
    setProblem(
      await changeShop((shop) => ({
        ...shop,
        approved: shop.approved.filter((p) => !kept.some((k) => k.id === p.id)),
      })),
    )
  return (
    <Flex gap="4" align="baseline">
      {asNow ? (
        <span role="status">
          Kept as this shop’s own for alike screens on {plan.press.name}.{' '}
          <TextButton onClick={forget}>take back</TextButton>
        </span>
      ) : (
        <TextButton onClick={keep}>the sample is good: keep its settings</TextButton>
      )}
      {problem && (
        <span role="alert">
          <SeverityMark severity="Stop" /> {problem}
        </span>
      )}
    </Flex>
  )
}
