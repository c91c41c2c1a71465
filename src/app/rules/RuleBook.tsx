'use client'

import { Box, Flex } from '@chakra-ui/react'
import { memo, useDeferredValue, useMemo, useState } from 'react'
import { message, optionWords, PRACTICES, type Rule, type ShopMethod } from '@/core/advice'
import { exampleOf, ROOMS } from '@/core/plan'
import { keysOf, type System } from '@/core/quantity'
import { Input, PageTitle } from '@/ui/elements'
import { Section, Table } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { AskFrame } from '../AskFrame'

interface Props {
  readonly shopName: string
  readonly method: ShopMethod
}

/** The rooms with their rules as they read, and the words each is found by. */
const chaptersIn = (units: System) =>
  ROOMS.map(({ title, model, sources, rules }) => ({
    title,
    model,
    sources,
    rules: Object.entries<Rule>(rules).map(([id, rule]) => {
      const says = message(exampleOf(id, rule), units)
      return { id, rule, says, words: `${says} ${rule.source} ${title}`.toLowerCase() }
    }),
  }))
type Chapter = ReturnType<typeof chaptersIn>[number]

/** Every rule and model the plan is made with, as they stand in the code. */
export function RuleBook({ shopName, method }: Props) {
  const { units } = useSettings()
  const [text, setText] = useState('')
  // Keys are answered at once, the list of hundreds follows.
  const sought = useDeferredValue(text.trim().toLowerCase())
  const all = useMemo(() => chaptersIn(units), [units])
  const chapters = useMemo(
    () =>
      all
        .map((c) => ({ ...c, rules: c.rules.filter((r) => r.words.includes(sought)) }))
        .filter((c) => c.rules.length > 0),
    [all, sought],
  )
  const count = chapters.reduce((sum, c) => sum + c.rules.length, 0)
  return (
    <AskFrame shopName={shopName}>
      <Flex align="baseline" columnGap="5" rowGap="2" mb="2" wrap="wrap">
        <PageTitle>Rules and models</PageTitle>
        <Box color="soft" role="status" aria-label="Count">
          {count} rules in {chapters.length} chapters
        </Box>
        <Input
          type="search"
          aria-label="Find a rule"
          placeholder="find a rule"
          value={text}
          onChange={(e) => setText(e.target.value)}
          ml="auto"
          bg="raised"
          px="2"
          py="1"
          width="16rem"
          borderBottom="1px solid"
          borderColor="soft"
        />
      </Flex>
      <Box maxWidth="46rem" color="soft" mb="5">
        What every plan is computed with, each rule with an example in it. The figures follow common practice
        and were never measured at a press.
      </Box>
      <Chapters chapters={chapters} />
      {sought === '' && (
        <Section title="House practice: where printers disagree">
          <Table>
            <tbody>
              {keysOf(PRACTICES).flatMap((s) =>
                Object.keys(PRACTICES[s].options).map((option, i) => (
                  <tr key={`${s} ${option}`}>
                    <td style={{ width: '18rem' }}>{i === 0 && <strong>{PRACTICES[s].question}</strong>}</td>
                    <td>{optionWords(s, option, units)}</td>
                    <td style={{ width: '8rem' }}>{method[s] === option ? 'this shop' : ''}</td>
                  </tr>
                )),
              )}
            </tbody>
          </Table>
        </Section>
      )}
      {chapters.length === 0 && <Box fontSize="lead">No rule with “{text}”.</Box>}
    </AskFrame>
  )
}

const Chapters = memo(({ chapters }: { readonly chapters: readonly Chapter[] }) =>
  chapters.map((c) => (
    // Chapters out of sight are not laid out: with hundreds of rules each key would wait for them. In narrow windows their tables
    // move sideways, and have to know it.
    <Box key={c.title} css={{ lg: { contentVisibility: 'auto', containIntrinsicBlockSize: 'auto 40rem' } }}>
      <Section title={c.title}>
        <Box mb="2" maxWidth="52rem">
          {c.model}{' '}
          <Box as="span" color="soft">
            {c.sources}
          </Box>
        </Box>
        <Table>
          <tbody>
            {c.rules.map((r) => (
              <Row key={r.id} of={r} />
            ))}
          </tbody>
        </Table>
      </Section>
    </Box>
  )),
)

const Row = memo(({ of: { id, rule, says } }: { readonly of: Chapter['rules'][number] }) => (
  <Box as="tr" id={id} _target={{ bg: 'raised', fontWeight: '600' }}>
    <td style={{ width: '5.5rem' }}>{rule.severity && <SeverityMark severity={rule.severity} />}</td>
    <td>{says}</td>
    <td style={{ width: '10rem' }}>
      <Box color="soft" fontSize="small">
        {rule.source}
      </Box>
    </td>
  </Box>
))
