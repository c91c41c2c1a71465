'use client'

import { Box, chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { Backup } from '@/store/backup'
import { Fieldset, PageTitle } from '@/ui/elements'
import { SeverityMark } from '@/ui/Severity'
import { useHydrated } from '@/ui/useHydrated'
import { wrongIn } from '../acts/wrong'
import { Backups } from '../Backups'

const Main = chakra('main')

/** What can be done when the data cannot be read: a backup is put in its place. Works without a database. */
export function Recovery({
  problem,
  folder,
  backups,
}: {
  readonly problem: string
  readonly folder: string
  readonly backups: readonly Backup[]
}) {
  const [notice, setNotice] = useState('')
  const [busy, setBusy] = useState('')
  const hydrated = useHydrated()
  const put = async (name: string) => {
    setBusy(name)
    const answer = await fetch('/api/recover', { method: 'POST', body: JSON.stringify({ name }) }).catch(
      () => undefined,
    )
    setBusy('')
    if (answer?.ok) return window.location.assign('/')
    const wrong = answer ? await wrongIn(answer) : []
    setNotice(wrong.join(' ') || 'Orvint does not answer: look whether it is still running.')
  }
  return (
    <Main p={{ base: '4', lg: '12' }} maxWidth="46rem">
      <PageTitle>{problem ? 'The data cannot be opened' : 'The data is sound'}</PageTitle>
      <Box fontSize="lead" my="4">
        {problem ? (
          <>
            <SeverityMark severity="Stop" /> {problem}
          </>
        ) : (
          'Nothing needs to be recovered. To go back to an earlier state, use Shop, Data.'
        )}
        {problem && <Box mt="2">The data folder is {folder}.</Box>}
      </Box>
      {problem && (
        // What is pressed before the page listens would be lost.
        <Fieldset border="none" minWidth="0" disabled={!hydrated}>
          <Box mb="4">
            A backup takes its place; the file that cannot be read is kept beside it, under a name that begins
            with damaged-. What was entered since that backup is not in it.
          </Box>
          <Box role="status" aria-label="Recovery" minHeight="1.6rem" fontWeight="650">
            {busy ? 'Working …' : notice}
          </Box>
          {backups.length === 0 && (
            <Box>
              There is no backup. Put a copy of the data file back, or move the file away to begin with an
              empty shop.
            </Box>
          )}
          <Backups backups={backups} verb="Use" words="Use this one" onUse={(b) => void put(b.name)} />
        </Fieldset>
      )}
    </Main>
  )
}
