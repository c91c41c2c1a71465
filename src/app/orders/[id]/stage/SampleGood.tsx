import { Flex } from '@chakra-ui/react'
import same from 'fast-deep-equal'
import { useState } from 'react'
import { keptGood, settingsOf } from '@/core/plan'
import { localNow } from '@/ui/clock'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useOrder } from '../orderContext'
import type { PlanProps } from './planProps'

/** A good sample: its settings are the shop's own for alike screens from now on. */
export function SampleGood({ plan }: PlanProps) {
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
