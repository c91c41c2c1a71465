'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { Day } from '@/ui/day'
import { Link, PageTitle } from '@/ui/elements'
import { TextInput } from '@/ui/given'
import { Section } from '@/ui/Section'
import { Tap } from '@/ui/Tap'
import { AskFrame } from '../AskFrame'
import { CodeCamera } from './CodeCamera'

interface Props {
  readonly shopName: string
  /** Released runs of orders that are not done. */
  readonly runs: readonly {
    readonly runId: string
    readonly words: string
    readonly press: string
    readonly pieces: number
    readonly due: string
    readonly number: number
    readonly code: string
  }[]
}

/** To the press: by the code on the sheet, typed or seen by the camera, or by the run. */
export function PressDoor({ shopName, runs }: Props) {
  const router = useRouter()
  const [code, setCode] = useState('')
  const [looking, setLooking] = useState(false)
  const go = (found: string) => router.push(`/sheets/${encodeURIComponent(found.trim().toUpperCase())}`)
  return (
    <AskFrame shopName={shopName}>
      <PageTitle>To the press</PageTitle>
      <Flex
        as="form"
        gap="3"
        align="end"
        my="4"
        wrap="wrap"
        onSubmit={(e) => {
          e.preventDefault()
          if (code.trim()) go(code)
        }}
      >
        <Box width="12rem">
          <TextInput label="Code on the sheet" value={code} onWrite={(text) => setCode(text.slice(0, 12))} />
        </Box>
        <Box flex="none">
          <Tap onTap={() => code.trim() && go(code)}>Open</Tap>
        </Box>
        <Box flex="none">
          <Tap chosen={looking} onTap={() => setLooking(!looking)}>
            {looking ? 'Camera off' : 'By the camera'}
          </Tap>
        </Box>
      </Flex>
      {looking && <CodeCamera onCode={go} />}
      <Section title="Released runs">
        {runs.length === 0 && (
          <Box color="soft">
            None: a run is released at its last stage, and then has a code and a press side.
          </Box>
        )}
        {runs.map((r) => (
          <Flex
            key={r.runId}
            gap="4"
            align="center"
            py="2"
            borderTop="1px solid"
            borderColor="rule"
            wrap="wrap"
          >
            <Link
              href={`/runs/${r.runId}/press`}
              prefetch={false}
              flex="1 1 16rem"
              fontWeight="700"
              fontSize="lead"
              minHeight="54px"
              display="flex"
              alignItems="center"
              textDecoration="underline"
            >
              {r.words}
            </Link>
            <Box color="soft">
              {r.press}, {r.pieces} pieces, due <Day at={r.due} />, revision {r.number}
            </Box>
            <Box className="num" fontWeight="700">
              {r.code}
            </Box>
          </Flex>
        ))}
      </Section>
    </AskFrame>
  )
}
