import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { CraftList } from '@/core/craft'
import { saidOf } from '@/core/record'
import { setupTimes } from '@/core/registration'
import { Link } from '@/ui/elements'
import { Select } from '@/ui/Select'
import { Tap } from '@/ui/Tap'
import type { AtPress } from './atPress'
import { CautionOf } from './CautionOf'
import { StepRow } from './StepRow'

export const listKey = (list: CraftList): string => `${list.id} ${list.subject.hit}`
const nameOf = (list: CraftList) => [list.title, list.subject.name].filter(Boolean).join(' ')

/** Lists of the plan, one at a time: what is done is ticked, with who and when; what is set otherwise is said. */
export function Lists({ lists, ...press }: AtPress & { readonly lists: readonly CraftList[] }) {
  const ticks = saidOf(press.said, 'tick')
  const tickOf = (step: string, hit: string) => ticks.findLast((t) => t.step === step && t.hit === hit)
  const doneOf = (list: CraftList) =>
    list.steps.filter((s) => tickOf(s.key, list.subject.hit) !== undefined).length
  const [chosen, setChosen] = useState<string>()
  const list =
    lists.find((l) => listKey(l) === chosen) ?? lists.find((l) => doneOf(l) < l.steps.length) ?? lists[0]
  if (!list) return null
  const { since } = setupTimes(ticks.filter((t) => t.hit === list.subject.hit))
  const go = (by: number) => {
    const next = lists[(lists.indexOf(list) + by + lists.length) % lists.length]
    if (next) setChosen(listKey(next))
  }
  return (
    <>
      <Flex gap="2" align="stretch" mb="3" role="group" aria-label="Lists">
        <Box flex="none" display="flex">
          <Tap onTap={() => go(-1)} label="The list before">
            ‹
          </Tap>
        </Box>
        <Box flex="1">
          <Select
            aria-label="List"
            value={listKey(list)}
            onChange={(e) => setChosen(e.target.value)}
            width="100%"
            minHeight="54px"
            fontSize="title"
            fontWeight="750"
          >
            {lists.map((l) => (
              <option key={listKey(l)} value={listKey(l)}>
                {doneOf(l) === l.steps.length ? '✓ ' : ''}
                {nameOf(l)}, {doneOf(l)} of {l.steps.length}
              </option>
            ))}
          </Select>
        </Box>
        <Box flex="none" display="flex">
          <Tap onTap={() => go(1)} label="The next list">
            ›
          </Tap>
        </Box>
      </Flex>
      {list.caution && <CautionOf rule={list.caution} />}
      {list.steps.map((step) => (
        <StepRow
          key={`${step.key} ${list.subject.hit}`}
          step={step}
          hit={list.subject.hit}
          tick={tickOf(step.key, list.subject.hit)}
          took={since[step.key]}
          {...press}
        >
          {step.key === 'head.register' && (
            <Link
              href={`/runs/${press.plan.run.id}/register?hit=${list.subject.hit}`}
              textDecoration="underline"
              display="inline-flex"
              alignItems="center"
              minHeight="44px"
              ml="3.2rem"
            >
              how to turn
            </Link>
          )}
        </StepRow>
      ))}
    </>
  )
}
