'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { q } from '@/core/advice'
import { difference, hexOf, hexOfLab, labOf } from '@/core/color'
import { byColour, type ColourHistory, ENTRY_KINDS, type Entry, INK, type PastBatch } from '@/core/ink'
import { systemName } from '@/core/order'
import { AskNumber } from '@/ui/AskNumber'
import { Day } from '@/ui/day'
import { Empty, PushLink } from '@/ui/Empty'
import { Link } from '@/ui/elements'
import { TextInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { Section, Table } from '@/ui/Section'
import { Swatch } from '@/ui/Swatch'

/** Every colour with its batches and how near each came, also those long gone; then the ledger. */
export function History({
  batches,
  entries,
}: {
  readonly batches: readonly PastBatch[]
  readonly entries: readonly Entry[]
}) {
  const [text, setText] = useState('')
  const colours = byColour(batches).filter((c) => c.name.toLowerCase().includes(text.trim().toLowerCase()))
  return (
    <>
      <Box width="16rem" mb="4">
        <TextInput label="Colour" value={text} onWrite={setText} />
      </Box>
      {colours.length === 0 && (
        <Empty
          says={
            batches.length === 0
              ? 'Nothing was mixed yet. A colour is searched among the inks of the rack, poured on the scale and kept here.'
              : 'No colour of that name was mixed.'
          }
        >
          {batches.length === 0 && <PushLink href="/ink/formulas">Search a formula</PushLink>}
        </Empty>
      )}
      {colours.map((c) => (
        <Colour key={`${c.name} ${c.system}`} colour={c} />
      ))}
      <Ledger entries={entries} />
    </>
  )
}

function Colour({ colour: { name, system, batches, sample } }: { readonly colour: ColourHistory }) {
  return (
    <Section title={`${name}, ${systemName(system).toLowerCase()}`}>
      <Table
        minWidth={{ base: '48rem', lg: '0' }}
        css={{
          tableLayout: { base: 'auto', xl: 'fixed' },
          '& td': { paddingBlock: '3px', verticalAlign: 'middle' },
        }}
      >
        <thead>
          <tr>
            <th style={{ width: '6rem' }}>Batch</th>
            <th style={{ width: '6.5rem' }}>Target, read</th>
            <th className="num" style={{ width: '6rem' }}>
              Off target
            </th>
            <th className="num" style={{ width: '8rem' }}>
              Off first sample
            </th>
            <th className="num" style={{ width: '5.5rem' }}>
              Mixed
            </th>
            <th className="num" style={{ width: '5.5rem' }}>
              Used
            </th>
            <th className="num" style={{ width: '5.5rem' }}>
              Left
            </th>
            <th style={{ width: '7rem' }}>Accepted</th>
            <th>Lots</th>
          </tr>
        </thead>
        <tbody>
          {batches.map((b) => (
            <PastRow key={b.id} batch={b} sample={sample} />
          ))}
        </tbody>
      </Table>
    </Section>
  )
}

function PastRow({
  batch: b,
  sample,
}: {
  readonly batch: PastBatch
  readonly sample: PastBatch | undefined
}) {
  const offSample =
    b.accepted && sample?.accepted && sample.id !== b.id
      ? difference(labOf(b.accepted.onWhite), labOf(sample.accepted.onWhite))
      : undefined
  return (
    <tr>
      <td>
        <Link href={`/ink/bench/${b.id}`} fontWeight="700" textDecoration="underline">
          {b.id}
        </Link>
        <Box fontSize="small" color="soft">
          <Day at={b.begun} as="d MMM yyyy" />
        </Box>
      </td>
      <td>
        <Flex>
          <Swatch hex={hexOfLab(b.target)} size={28} />
          {b.accepted && <Swatch hex={hexOf(b.accepted.onWhite)} size={28} />}
        </Flex>
      </td>
      <td className="num">
        {b.accepted && (
          <AskNumber
            label={`Off target, ${b.id}`}
            reasons={[INK.because('PAST', { difference: q('difference', b.accepted.difference) })]}
          >
            <Box as="span" fontSize="title" fontWeight="700">
              <Measure kind="difference" value={b.accepted.difference} />
            </Box>
          </AskNumber>
        )}
      </td>
      <td className="num">
        {offSample === undefined ? (
          <Box as="span" color="soft" fontSize="small">
            {b.id === sample?.id ? 'first sample' : ''}
          </Box>
        ) : (
          <AskNumber
            label={`Off first sample, ${b.id}`}
            reasons={[
              INK.because('PAST_SAMPLE', {
                difference: q('difference', offSample),
                batch: sample?.id ?? '',
              }),
            ]}
          >
            <Measure kind="difference" value={offSample} />
          </AskNumber>
        )}
      </td>
      {[b.made, b.used, b.left].map((mass, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: columns never move
        <td key={i} className="num">
          {mass > 0 ? <Measure kind="mass" value={mass} /> : '–'}
        </td>
      ))}
      <td>
        {b.accepted ? b.accepted.who || 'nobody named' : b.state === 'gone' ? 'thrown away' : 'not yet'}
      </td>
      <td>
        <Box fontSize="small" color="soft" lineHeight="1.2">
          {b.lots.join(', ')}
        </Box>
      </td>
    </tr>
  )
}

function Ledger({ entries }: { readonly entries: readonly Entry[] }) {
  return (
    <Section title="Ledger, newest first">
      <Table css={{ '& td': { paddingBlock: '1px' } }}>
        <tbody>
          {entries.map((e) => (
            <tr key={e.id}>
              <td style={{ width: '9rem' }}>
                <Day at={e.at} as="d MMM, HH:mm" />
              </td>
              <td style={{ width: '6rem', fontWeight: 600 }}>{e.tub}</td>
              <td className="num" style={{ width: '6rem' }}>
                {e.mass < 0 ? '−' : '+'}
                <Measure kind="dose" value={Math.abs(e.mass)} />
              </td>
              <td style={{ width: '9rem' }}>
                {ENTRY_KINDS[e.kind]}
                {e.corrects !== undefined && ` no. ${e.corrects}`}
              </td>
              <td>
                {e.batchId !== e.tub && e.batchId} {e.code && `of ${e.code}`} {e.note}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Section>
  )
}
