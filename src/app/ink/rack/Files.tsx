import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { useFormContext } from 'react-hook-form'
import type { BaseInk, ShopAndShelf } from '@/core/equipment'
import { strangersIn } from '@/core/ink'
import { readCgats, readingsFor } from '@/formats/cgats'
import { readFormulasCsv, readStockCsv } from '@/formats/inkCsv'
import { localNow } from '@/ui/clock'
import { Section } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { act } from '../../acts/act'
import { unlocked } from '../../edits/unlocked'
import { FileIn } from '../FileIn'

const Link = chakra('a')

/** Takes in readings, formulas and cans from files; all of a file or nothing. */
export function Files({ rack }: { readonly rack: readonly BaseInk[] }) {
  const { setValue, getValues } = useFormContext<ShopAndShelf>()
  const [notice, setNotice] = useState<readonly string[]>([])
  const [ok, setOk] = useState(true)
  const say = (good: boolean, ...lines: readonly string[]) => {
    setOk(good)
    setNotice(lines)
  }
  const takeReadings = (text: string) => {
    const read = readCgats(text)
    if (!read.ok) return say(false, ...read.wrong)
    const found = new Map(readingsFor(rack, read).map((r) => [r.code, r.characterisation]))
    if (found.size === 0)
      return say(false, 'No rack ink has readings on both cards. Name samples W1.white and W1.black.')
    const next = rack.map((ink) => ({
      ...ink,
      characterisation: found.get(ink.code) ?? ink.characterisation,
    }))
    setValue('shop.inkRoom.rack', unlocked(next))
    say(true, `Read: ${[...found.keys()].join(', ')}.`, ...read.notes)
  }
  const takeFormulas = (text: string) => {
    const { formulas, problems } = readFormulasCsv(text)
    const unknown = formulas.flatMap((f) => f.parts).filter((p) => !rack.some((i) => i.code === p.code))
    if (problems.length > 0)
      return say(false, ...problems.map((p) => `line ${p.line} ${p.column}: ${p.message}`))
    if (unknown.length > 0)
      return say(false, `Not on the rack: ${[...new Set(unknown.map((p) => p.code))].join(', ')}.`)
    const mixedUp = formulas.find((f) => strangersIn(f.parts, f.system, rack).length > 0)
    if (mixedUp)
      return say(false, `${mixedUp.name}: inks of another system stand in it; they never go into one tub.`)
    const ids = new Set(formulas.map((f) => f.id))
    const kept = getValues('shop.inkRoom.formulas').filter((f) => !ids.has(f.id))
    setValue('shop.inkRoom.formulas', unlocked([...kept, ...formulas]))
    say(true, `${formulas.length} formulas taken in.`)
  }
  const takeStock = async (text: string) => {
    const { cans, problems } = readStockCsv(text, new Set(rack.map((i) => i.code)))
    if (problems.length > 0)
      return say(false, ...problems.map((p) => `line ${p.line} ${p.column}: ${p.message}`))
    const done = await act('receiveCans', { cans, at: localNow() })
    if (!done.ok) return say(false, done.message)
    say(true, `${cans.length} cans booked in.`)
  }
  return (
    <Section title="Files">
      <Flex gap="6" wrap="wrap">
        <FileIn label="Readings (CGATS text)" onText={takeReadings} />
        <FileIn label="Formulas (CSV)" onText={takeFormulas} />
        <FileIn label="Cans (CSV)" onText={takeStock} />
        <Link href="/api/ink/readings.txt" textDecoration="underline" alignSelf="end">
          Readings of the rack (CGATS)
        </Link>
      </Flex>
      {notice.length > 0 && (
        <Box role={ok ? 'status' : 'alert'} mt="2">
          {notice.slice(0, 12).map((t) => (
            <Box key={t}>
              {!ok && <SeverityMark severity="Stop" word={false} />} {t}
            </Box>
          ))}
        </Box>
      )}
    </Section>
  )
}
