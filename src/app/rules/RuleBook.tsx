'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import { optionWords, type Rule, SCHOOLS, type ShopMethod } from '@/core/advice'
import { ROOMS } from '@/core/plan'
import { keysOf } from '@/core/quantity'
import { Input } from '@/ui/elements'
import { PageTitle } from '@/ui/parts'
import { Section, Table } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { AskFrame } from '../AskFrame'

interface Props {
  readonly shopName: string
  readonly method: ShopMethod
}

/** Every rule and model the plan is made with, as they stand in the code. */
export function RuleBook({ shopName, method }: Props) {
  const { units } = useSettings()
  const [text, setText] = useState('')
  const chapters = useMemo(() => {
    const has = (words: string) => words.toLowerCase().includes(text.trim().toLowerCase())
    return ROOMS.map((c) => ({
      ...c,
      rules: Object.entries<Rule>(c.rules).filter(([id, r]) => has(`${id} ${r.says} ${r.source} ${c.title}`)),
    })).filter((c) => c.rules.length > 0)
  }, [text])
  const count = chapters.reduce((sum, c) => sum + c.rules.length, 0)
  return (
    <AskFrame shopName={shopName}>
      <Flex align="baseline" gap="5" mb="2">
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
        What every plan is computed with. Words in braces are filled in for each run. The figures follow
        common practice and were never measured at a press.
      </Box>
      {chapters.map((c) => (
        <Section key={c.title} title={c.title}>
          <Box mb="2" maxWidth="52rem">
            {c.model}{' '}
            <Box as="span" color="soft">
              {c.sources} More in {c.pages.map((p) => `docs/models/${p}.md`).join(', ')}.
            </Box>
          </Box>
          <Table>
            <tbody>
              {c.rules.map(([id, r]) => (
                <tr key={id}>
                  <td style={{ width: '5.5rem' }}>{r.severity && <SeverityMark severity={r.severity} />}</td>
                  <td>{r.says}</td>
                  <td style={{ width: '10rem' }}>{r.source}</td>
                  <td style={{ width: '13rem' }}>
                    <Box color="soft" fontSize="small">
                      {id.toLowerCase().replaceAll('_', ' ')}
                    </Box>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Section>
      ))}
      {text === '' && (
        <Section title="Schools: where printers disagree">
          <Table>
            <tbody>
              {keysOf(SCHOOLS).flatMap((s) =>
                Object.keys(SCHOOLS[s].options).map((option, i) => (
                  <tr key={`${s} ${option}`}>
                    <td style={{ width: '18rem' }}>{i === 0 && <strong>{SCHOOLS[s].question}</strong>}</td>
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
