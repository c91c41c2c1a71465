'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { type Change, changes, meet, overlaid } from '@/core/change'
import type { Names } from '@/core/plan'
import { changeWords } from '@/ui/changeWords'
import { Input, Label } from '@/ui/elements'
import { Table, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import type { Conflict } from './session'

interface Row {
  readonly change: Change
  readonly theirs: Change | undefined
  readonly mine: Change | undefined
}

/** Every field that one or both changed, once. */
function rowsOf(theirs: readonly Change[], mine: readonly Change[]): readonly Row[] {
  const both = mine.map((m): Row => ({ change: m, mine: m, theirs: theirs.find((t) => meet(t, m)) }))
  const taken = new Set(both.map((r) => r.theirs))
  return [
    ...both,
    ...theirs.filter((t) => !taken.has(t)).map((t) => ({ change: t, mine: undefined, theirs: t })),
  ]
}

interface PanelProps<T> {
  readonly conflict: Conflict<T>
  readonly names?: Names
  readonly onAgree: (value: T) => void
}

/** What someone else changed beside what was changed here; where both changed the same, one is chosen. */
export function ConflictPanel<T>({ conflict, names, onAgree }: PanelProps<T>) {
  const { units } = useSettings()
  const { base, mine, theirs } = conflict
  const own = changes(base, mine)
  const rows = rowsOf(changes(base, theirs), own)
  const [dropped, setDropped] = useState<readonly string[]>([])
  const key = (c: Change) => c.path.join('.')
  const drop = (c: Change, yes: boolean) =>
    setDropped((all) => (yes ? [...all, key(c)] : all.filter((k) => k !== key(c))))
  const words = (c: Change | undefined) => c && changeWords(c, units, names)
  const choice = (row: Row, theirsWins: boolean, text: string) => (
    <Label display="inline-flex" gap="1.5" alignItems="baseline" cursor="pointer">
      <Input
        type="radio"
        name={key(row.change)}
        checked={dropped.includes(key(row.change)) === theirsWins}
        onChange={() => drop(row.change, theirsWins)}
        accentColor="ink"
      />
      {text}
    </Label>
  )
  return (
    <Box as="section" aria-label="Changed by someone else" bg="raised" px="4" py="3" mb="4">
      <Flex gap="3" align="baseline" role="alert">
        <SeverityMark severity="Stop" />
        <Box fontWeight="700">
          Someone else changed this while you did. Nothing is lost; choose what stays.
        </Box>
      </Flex>
      <Table mt="2">
        <thead>
          <tr>
            <th>Field</th>
            <th>Was</th>
            <th>Theirs, saved</th>
            <th>Yours, not saved yet</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const both = row.mine && row.theirs
            const [t, m] = [words(row.theirs), words(row.mine)]
            return (
              <tr key={key(row.change)}>
                <td>{(m ?? t)?.label}</td>
                <td>{(m ?? t)?.from}</td>
                <td>{t && (both ? choice(row, true, t.to) : t.to)}</td>
                <td>{m && (both ? choice(row, false, m.to) : m.to)}</td>
              </tr>
            )
          })}
        </tbody>
      </Table>
      <Flex gap="5" mt="2">
        <TextButton
          onClick={() =>
            onAgree(
              overlaid(
                theirs,
                own.filter((c) => !dropped.includes(key(c))),
              ),
            )
          }
          fontWeight="700"
        >
          Save this
        </TextButton>
        <TextButton onClick={() => onAgree(theirs)}>Take theirs, drop mine</TextButton>
      </Flex>
    </Box>
  )
}
