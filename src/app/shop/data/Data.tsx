'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import type { Outcome } from '@/core/quantity'
import type { Backup } from '@/store/backup'
import { AskFirst } from '@/ui/Dialog'
import { useSayDay } from '@/ui/day'
import { Input, Link } from '@/ui/elements'
import { Section, TextButton } from '@/ui/Section'
import { act } from '../../acts/act'
import { wrongIn } from '../../acts/wrong'
import { Backups } from '../../Backups'

interface Props {
  readonly folder: string
  readonly backups: readonly Backup[]
}

/** Something that replaces everything: what it is called, and what it does. */
interface Replace {
  readonly title: string
  readonly act: () => Promise<Outcome>
}

/** Takes an archive in through the server. */
async function takeArchive(file: File): Promise<Outcome> {
  const answer = await fetch('/api/archive', { method: 'POST', body: file }).catch(() => undefined)
  if (!answer) return { ok: false, message: 'Orvint does not answer: look whether it is still running.' }
  if (answer.ok) return { ok: true }
  const wrong = await wrongIn(answer)
  const more = wrong.length > 3 ? ` And ${wrong.length - 3} more.` : ''
  return { ok: false, message: `${wrong.slice(0, 3).join(' ')}${more}` }
}

/** Files in and out, backups and how to get one back. */
export function Data({ folder, backups }: Props) {
  const router = useRouter()
  const sayDay = useSayDay()
  const archive = useRef<HTMLInputElement>(null)
  const [asking, setAsking] = useState<Replace>()
  const [notice, setNotice] = useState('')
  const [busy, setBusy] = useState(false)
  const run = async (ask: () => Promise<Outcome>, words: string) => {
    setAsking(undefined)
    setBusy(true)
    const done = await ask()
    setBusy(false)
    setNotice(done.ok ? words : done.message)
    router.refresh()
  }
  return (
    <>
      <Box role="status" aria-label="Data" minHeight="1.6rem" fontWeight="650" mb="2">
        {busy ? 'Working …' : notice}
      </Box>
      <Section title="Everything in one file">
        <Flex columnGap="6" rowGap="1" align="baseline" wrap="wrap">
          <Link href="/api/archive" prefetch={false} download textDecoration="underline">
            Save an archive
          </Link>
          <TextButton onClick={() => archive.current?.click()}>Open an archive</TextButton>
          <Input
            ref={archive}
            type="file"
            accept=".zip,.json,application/zip,application/json"
            aria-label="Archive file"
            display="none"
            onChange={(e) => {
              const file = e.target.files?.[0]
              if (file)
                setAsking({ title: `Replace everything by ${file.name}?`, act: () => takeArchive(file) })
              e.target.value = ''
            }}
          />
          <Box color="soft">
            Shop, orders, decisions, revisions, ink book and the originals of the films, in one zip.
          </Box>
        </Flex>
      </Section>
      <Section title="Lists for other programs">
        <Flex gap="6">
          {['orders', 'runs', 'plans'].map((name) => (
            <Link key={name} href={`/api/${name}.csv`} prefetch={false} download textDecoration="underline">
              {name}.csv
            </Link>
          ))}
          <Link href="/orders/import" textDecoration="underline">
            Import orders
          </Link>
        </Flex>
      </Section>
      <Section
        title="Backups"
        side={
          <TextButton onClick={() => void run(() => act('backUpNow', {}), 'Backed up.')}>
            Back up now
          </TextButton>
        }
      >
        <Box color="soft" mb="2">
          Made every night in {folder}/backups with the films they name, the last thirty are kept. Copy that
          folder to another machine now and then.
        </Box>
        {backups.length === 0 && <Box>None yet.</Box>}
        <Backups
          backups={backups}
          verb="Restore"
          onUse={(b) =>
            setAsking({
              title: `Go back to ${sayDay(b.at, 'EEE d MMM, HH:mm')}?`,
              act: () => act('restoreBackup', { name: b.name }),
            })
          }
        />
      </Section>
      {asking && (
        <AskFirst
          title={asking.title}
          yes="Replace everything"
          onYes={() => void run(asking.act, 'Everything was replaced.')}
          onNo={() => setAsking(undefined)}
        >
          This replaces all orders, releases and the shop. A backup is made first.
        </AskFirst>
      )}
    </>
  )
}
