'use client'

import { Box } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import { AskFirst } from '@/ui/Dialog'
import { Differences } from '@/ui/Differences'
import { Day } from '@/ui/day'
import { Link } from '@/ui/elements'
import { useKeys } from '@/ui/keys'
import { Section, TextButton } from '@/ui/Section'
import { Told } from '@/ui/Told'
import { act } from '../../acts/act'
import { useOrder } from './orderContext'
import { useReleased } from './useReleased'

/** Where the run in hand stands, and the way to release it. */
export function ReleaseStatus({ printed }: { readonly printed: boolean }) {
  const { plan, mark } = useOrder()
  const changes = useReleased()
  const [asking, setAsking] = useState(false)
  const open = useMemo(() => [{ keys: 'r', label: 'Release the run', act: () => setAsking(true) }], [])
  useKeys(open)
  if (!plan) return null
  const upToDate = mark && changes?.length === 0
  return (
    <>
      <Box as="span" role="status" aria-label="How far the run is" color="soft">
        {stateWords(mark?.number, changes?.length ?? 0, printed)}
      </Box>
      {!upToDate && <TextButton onClick={() => setAsking(true)}>Release</TextButton>}
      {asking && <ReleaseDialog onClose={() => setAsking(false)} />}
    </>
  )
}

/** How far a run is: planned, released, changed since, printed. */
const stateWords = (revision: number | undefined, changed: number, printed: boolean): string => {
  const words = revision === undefined ? 'Planned' : `Released, revision ${revision}`
  return [printed ? 'Printed' : words, changed > 0 && `${changed} changed since`].filter(Boolean).join(', ')
}

function ReleaseDialog({ onClose }: { readonly onClose: () => void }) {
  const { plan, mark, seen } = useOrder()
  const changes = useReleased()
  const [problem, setProblem] = useState('')
  if (!plan) return null
  const number = (mark?.number ?? 0) + 1
  const release = async () => {
    const released = await act('releaseRun', { runId: plan.run.id, seen: await seen() })
    if (!released.ok) return setProblem(released.message)
    onClose()
  }
  return (
    <AskFirst
      title={`Release revision ${number} of ${plan.run.id}?`}
      yes="Release"
      onYes={() => void release()}
      onNo={onClose}
    >
      {problem && (
        <Box role="alert" fontWeight="700" mb="2">
          {problem}
        </Box>
      )}
      <Box mb="2">
        The crew works from it. It is kept as it is and never edited; a later change makes another.
      </Box>
      {plan.warnings.length > 0 && (
        <Box
          mb="2"
          maxHeight="16rem"
          overflowY="auto"
          tabIndex={0}
          role="region"
          aria-label="Open in this run"
        >
          <Told reasons={plan.warnings} />
        </Box>
      )}
      {mark &&
        (changes?.length === 0 ? (
          <Box>Nothing has changed since revision {mark.number}.</Box>
        ) : (
          <>
            <Box fontWeight="650" mt="2">
              Changed since revision {mark.number}
            </Box>
            <Differences changes={changes ?? []} />
          </>
        ))}
    </AskFirst>
  )
}

/** At the last stage: what was released, and what has changed since. */
export function ReleaseSection() {
  const { plan, mark } = useOrder()
  const changes = useReleased()
  if (!plan) return null
  return (
    <Section title={mark ? `Revision ${mark.number}` : 'Not released yet'}>
      {mark ? (
        <>
          <Box mb="1">
            Released <Day at={mark.releasedAt} as="EEE d MMM, HH:mm" />. Code on the sheet:{' '}
            <strong>{mark.code}</strong>.{' '}
            <Link href={`/runs/${plan.run.id}/revisions`} textDecoration="underline">
              All revisions
            </Link>{' '}
            <Link href={`/runs/${plan.run.id}/press`} prefetch={false} textDecoration="underline">
              At the press
            </Link>{' '}
            <Link href={`/runs/${plan.run.id}/lists`} prefetch={false} textDecoration="underline">
              Lists
            </Link>{' '}
            <Link href={`/runs/${plan.run.id}/record`} prefetch={false} textDecoration="underline">
              Record
            </Link>
          </Box>
          {changes?.length === 0 && <Box color="soft">Nothing has changed since.</Box>}
          {changes && changes.length > 0 && <Differences changes={changes} />}
        </>
      ) : (
        <Box color="soft">The set-up sheet says Draft until the run is released (r).</Box>
      )}
    </Section>
  )
}
