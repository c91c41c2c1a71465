import { Box, Flex } from '@chakra-ui/react'
import { useFormContext, useWatch } from 'react-hook-form'
import { relationOf, wordsOf } from '@/core/artwork'
import type { ArtRelation, InkColour, Order } from '@/core/order'
import { writeQuantity } from '@/core/quantity'
import type { Reading, StoredFilm } from '@/store/films'
import { TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'

interface Props {
  readonly at: number
  readonly films: readonly StoredFilm[]
  readonly reading: Reading
}

/** Readings nearer than this to what the order says are no news. */
const SAME = { coverage: 0.005, ruling: 0.02, size: 0.001, width: 0.00005 }

/** What of the order the films tell otherwise, in words, and the order's values as the films tell them. */
function differences(
  films: readonly StoredFilm[],
  { films: ids, facts, pairs, print }: Reading,
  placement: Order['placements'][number],
  say: {
    readonly size: (m: number) => string
    readonly length: (m: number) => string
    readonly share: (s: number) => string
    readonly ruling: (r: number) => string
  },
) {
  const inkOf = (i: number) => films.find((f) => f.id === ids[i])?.ink ?? ''
  const words: string[] = []
  if (!print) return undefined
  const size = { width: print.width, height: print.height }
  if (
    Math.abs(size.width - placement.width) > SAME.size ||
    Math.abs(size.height - placement.height) > SAME.size
  )
    words.push(`the print is ${say.size(size.width)} x ${say.size(size.height)}`)
  const inks = placement.inks.map((ink): InkColour => {
    const i = facts.findIndex((_, n) => inkOf(n) === ink.id)
    const own = facts[i]
    if (!own) return ink
    const { coverage, ruling } = wordsOf(own, print)
    // Every colour of an order prints something.
    const covers = Math.max(0.001, Math.round(coverage * 1000) / 1000)
    const { ruling: was, ...rest } = ink
    if (Math.abs(covers - ink.coverage) > SAME.coverage) words.push(`${ink.name} covers ${say.share(covers)}`)
    const same = was !== undefined && ruling !== undefined && Math.abs(ruling / was - 1) < SAME.ruling
    if (!same && was !== ruling)
      words.push(`${ink.name} ${ruling === undefined ? 'is flat' : say.ruling(ruling)}`)
    return { ...rest, coverage: covers, ...(ruling === undefined ? {} : { ruling: same ? was : ruling }) }
  })
  const read = new Set(ids.map((_, i) => inkOf(i)))
  const known = placement.relations.filter((r) => !read.has(r.a) || !read.has(r.b))
  const found = pairs.flatMap((p): ArtRelation[] => {
    const relation = relationOf(p)
    const [a, b] = [inkOf(p.a), inkOf(p.b)]
    const colours = placement.inks.map((i) => i.id)
    return relation && colours.includes(a) && colours.includes(b) ? [{ a, b, ...relation }] : []
  })
  const name = (id: string) => placement.inks.find((i) => i.id === id)?.name ?? id
  const was = (a: string, b: string) =>
    placement.relations.find((r) => (r.a === a && r.b === b) || (r.a === b && r.b === a))
  for (const r of found) {
    const old = was(r.a, r.b)
    const width = Math.abs((old?.width ?? 0) - (r.width ?? 0)) > SAME.width
    if (old?.how !== r.how || (r.how === 'overlap' && width))
      words.push(`${name(r.a)} and ${name(r.b)} ${r.how}${r.width ? ` by ${say.length(r.width)}` : ''}`)
  }
  for (const r of placement.relations) {
    const gone =
      read.has(r.a) && read.has(r.b) && !found.some((f) => new Set([f.a, f.b, r.a, r.b]).size === 2)
    if (gone) words.push(`${name(r.a)} and ${name(r.b)} stay apart`)
  }
  return { words, size, inks, relations: [...known, ...found] }
}

/** Lays what was read into the order, as one step that can be undone; every value stays correctable. */
export function UseReadings({ at, films, reading }: Props) {
  const { units } = useSettings()
  const { control, setValue } = useFormContext<Order>()
  const placement = useWatch({ control, name: `placements.${at}` })
  const say = {
    size: (m: number) => writeQuantity('length', m, units),
    length: (m: number) => writeQuantity('fine', m, units),
    share: (s: number) => writeQuantity('share', s, units),
    ruling: (r: number) => writeQuantity('ruling', r, units),
  }
  const told = differences(films, reading, placement, say)
  if (!told) return null
  if (told.words.length === 0)
    return (
      <Box mt="3" color="soft">
        The order says what the films say.
      </Box>
    )
  const use = () => {
    const how = { shouldDirty: true, shouldValidate: true }
    const { size, inks, relations } = told
    setValue(`placements.${at}`, { ...placement, ...size, inks: [...inks], relations: [...relations] }, how)
  }
  return (
    <Box mt="3" px="3" py="2" bg="raised">
      <Flex gap="4" align="baseline">
        <Box fontWeight="650">The films say otherwise</Box>
        <Box ml="auto">
          <TextButton onClick={use} fontWeight="700">
            Use all {told.words.length} readings
          </TextButton>
        </Box>
      </Flex>
      <Box fontSize="0.92rem">{told.words.join(' · ')}</Box>
    </Box>
  )
}
