'use client'

import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { useFormContext, useWatch } from 'react-hook-form'
import { hexOfLab } from '@/core/color'
import type { BaseInk, Formula, Known, ShopAndShelf } from '@/core/equipment'
import {
  type Can,
  CONFIDENCE,
  colourOfKnown,
  ENTRY_KINDS,
  type Entry,
  lookAlikes,
  strangersIn,
} from '@/core/ink'
import { INK_SYSTEMS, OPACITIES } from '@/core/order'
import { momentOf } from '@/core/schedule'
import { readCgats, readingsFor } from '@/formats/cgats'
import { readFormulasCsv, readStockCsv } from '@/formats/inkCsv'
import { QuantityField, SelectField, TextField } from '@/ui/fields'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { Section, Table, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { Swatch } from '@/ui/Swatch'
import { localNow, sayMoment } from '../../screens/clock'
import { Give, Pick, Write } from '../../screens/light/Setting'
import { type Row, Rows } from '../../shop/Rows'
import { receiveCan } from '../actions'
import { FileIn } from '../FileIn'

const Link = chakra('a')

const OPACITY_WORDS = Object.fromEntries(Object.entries(OPACITIES).map(([k, o]) => [k, o.label]))

/** How an ink is known: as it was read, or a colour and class to choose. */
function KnownCell({ row, path }: { readonly row: Row; readonly path: string }) {
  const known = useWatch({ name: `${path}.known` }) as Known
  const of = String(row.name)
  if (known.how === 'class')
    return (
      <Flex gap="2" align="center">
        <TextField
          name={`${path}.known.hex` as never}
          label={`Seen, ${of}`}
          bare
          type="color"
          width="2.2rem"
        />
        <SelectField
          name={`${path}.known.opacity` as never}
          label={`Covers, ${of}`}
          bare
          options={OPACITY_WORDS}
        />
      </Flex>
    )
  return (
    <Flex gap="2" align="center" minHeight="2.1rem">
      <Swatch hex={hexOfLab(colourOfKnown(known))} size={22} />
      <Box fontSize="0.87rem">
        {CONFIDENCE[known.how].label}
        {known.letDown && ', tint'}
      </Box>
    </Flex>
  )
}

const LIMITS = [
  ['asMeant', 'Cloth may change a colour by'],
  ['tonedDown', 'Toned down up to'],
  ['accept', 'Drawdown accepted up to'],
  ['again', 'Looked at again up to'],
  ['white', 'A bright white, L*'],
] as const

/** Inks that formulas are mixed from, what stands in their cans, formulas, limits, and the ledger. */
export function Rack({
  cans,
  entries,
}: {
  readonly cans: readonly Can[]
  readonly entries: readonly Entry[]
}) {
  const rack = useWatch({ name: 'shop.inkRoom.rack' }) as readonly BaseInk[]
  const pairs = rack.flatMap((ink, i) =>
    lookAlikes(ink, rack.slice(i + 1)).map((other) => `${ink.name} and ${other.name}`),
  )
  return (
    <>
      <Rows
        title="Inks on the rack"
        name="shop.inkRoom.rack"
        one="an ink"
        newRow={(rows) => ({
          code: freeCode(rows),
          name: 'New ink',
          system: 'plastisol',
          cost: 25,
          density: 1200,
          known: { how: 'class', hex: '#808080', opacity: 'ordinary' },
        })}
        above={
          pairs.length > 0 && (
            <Box mb="1" fontSize="0.92rem">
              <SeverityMark severity="Watch" /> Taken for one another by a tired eye: {pairs.join('; ')}.
            </Box>
          )
        }
        columns={[
          { field: 'code', label: 'Code', as: 'text', width: '4.5rem' },
          { field: 'name', label: 'Name', as: 'text' },
          { field: 'system', label: 'System', as: INK_SYSTEMS, width: '8.5rem' },
          { field: 'cost', label: 'Cost', as: { kind: 'price' }, width: '5.5rem' },
          { field: 'density', label: 'Density', as: { kind: 'density' }, width: '6rem' },
          {
            field: 'known',
            label: 'Known by',
            as: { show: (row, path) => <KnownCell row={row} path={path} /> },
            width: '15rem',
          },
        ]}
      />
      <Files rack={rack} />
      <Cans cans={cans} rack={rack} />
      <Formulas />
      <Section title="Limits (CIEDE2000)">
        <Grid templateColumns="repeat(5, 1fr)" gap="4">
          {LIMITS.map(([field, label]) => (
            <QuantityField
              key={field}
              name={`shop.inkRoom.limits.${field}`}
              label={label}
              kind="difference"
            />
          ))}
        </Grid>
      </Section>
      <Ledger entries={entries} />
    </>
  )
}

function freeCode(rows: readonly Row[]): string {
  const codes = new Set(rows.map((r) => r.code))
  for (let n = 1; ; n++) if (!codes.has(`N${n}`)) return `N${n}`
}

function Cans({ cans, rack }: { readonly cans: readonly Can[]; readonly rack: readonly BaseInk[] }) {
  const [code, setCode] = useState(rack[0]?.code ?? '')
  const [lot, setLot] = useState('')
  const [mass, setMass] = useState(1)
  const [problem, setProblem] = useState('')
  const full = cans.filter((c) => c.mass > 0)
  const add = async () => {
    const done = await receiveCan({ code, lot, mass }, localNow())
    setProblem(done.ok ? '' : done.message)
    if (done.ok) setLot('')
  }
  return (
    <Section
      title={`Cans: ${full.length}`}
      side={
        <Link href="/api/ink/stock.csv" textDecoration="underline">
          Stock (CSV)
        </Link>
      }
    >
      <Table css={{ '& td': { paddingBlock: '2px' } }}>
        <thead>
          <tr>
            <th>Can</th>
            <th>Ink</th>
            <th>Lot</th>
            <th className="num">In it</th>
            <th className="num">Worth</th>
            <th>Opened</th>
          </tr>
        </thead>
        <tbody>
          {full.map((c) => {
            const ink = rack.find((i) => i.code === c.code)
            return (
              <tr key={c.id}>
                <td style={{ fontWeight: 700 }}>{c.id}</td>
                <td>
                  {ink?.name ?? 'not on the rack'} {c.code}
                </td>
                <td>{c.lot}</td>
                <td className="num">
                  <b>
                    <Measure kind="mass" value={c.mass} />
                  </b>
                </td>
                <td className="num">{ink && <Measure kind="money" value={ink.cost * c.mass} />}</td>
                <td>{c.opened ? sayMoment(momentOf(c.opened), 'd MMM') : 'closed'}</td>
              </tr>
            )
          })}
        </tbody>
      </Table>
      <Flex gap="3" align="end" mt="2" wrap="wrap">
        <Box width="12rem">
          <Pick
            label="Ink of the can"
            value={code}
            options={rack.map((i) => ({ id: i.code, name: `${i.name} ${i.code}` }))}
            onPick={setCode}
          />
        </Box>
        <Box width="9rem">
          <Write label="Lot" value={lot} onWrite={setLot} />
        </Box>
        <Box width="8rem">
          <Give label="Weight of the ink" kind="mass" value={mass} onGive={setMass} />
        </Box>
        <PushButton type="button" onClick={add}>
          Put it on the rack
        </PushButton>
        {problem && (
          <Box role="alert" fontWeight="650">
            {problem}
          </Box>
        )}
      </Flex>
    </Section>
  )
}

function Formulas() {
  const { setValue } = useFormContext<ShopAndShelf>()
  const formulas = useWatch({ name: 'shop.inkRoom.formulas' }) as readonly Formula[]
  return (
    <Section
      title={`Formulas: ${formulas.length}`}
      side={
        <Link href="/api/ink/formulas.csv" textDecoration="underline">
          Formulas (CSV)
        </Link>
      }
    >
      {formulas.length === 0 && <Box color="soft">None yet.</Box>}
      {formulas.map((f) => (
        <Flex key={f.id} gap="4" align="center" py="1" borderTop="1px solid" borderColor="rule">
          <Swatch hex={hexOfLab(f.target)} size={22} />
          <Box fontWeight="600" width="11rem">
            {f.name}
          </Box>
          <Box flex="1">{f.parts.map((p) => `${p.code} ${(p.share * 100).toFixed(1)} %`).join(', ')}</Box>
          <TextButton
            aria-label={`Remove ${f.name}`}
            onClick={() => setValue('shop.inkRoom.formulas', formulas.filter((o) => o !== f) as Formula[])}
          >
            remove
          </TextButton>
        </Flex>
      ))}
    </Section>
  )
}

/** Takes in readings, formulas and cans from files; all of a file or nothing. */
function Files({ rack }: { readonly rack: readonly BaseInk[] }) {
  const { setValue, getValues } = useFormContext<ShopAndShelf>()
  const [told, setTold] = useState<readonly string[]>([])
  const [ok, setOk] = useState(true)
  const say = (good: boolean, ...lines: readonly string[]) => {
    setOk(good)
    setTold(lines)
  }
  const takeReadings = (text: string) => {
    const read = readCgats(text)
    if (!read.ok) return say(false, ...read.wrong)
    const found = new Map(readingsFor(rack, read).map((r) => [r.code, r.known]))
    if (found.size === 0)
      return say(
        false,
        'No ink of the rack is read over both cards in it. Samples are called W1.white and W1.black.',
      )
    const next = rack.map((ink) => ({ ...ink, known: found.get(ink.code) ?? ink.known }))
    setValue('shop.inkRoom.rack', structuredClone(next) as BaseInk[])
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
      return say(false, `${mixedUp.name}: inks of another system stand in it; they never go into one pail.`)
    const ids = new Set(formulas.map((f) => f.id))
    const kept = getValues('shop.inkRoom.formulas').filter((f) => !ids.has(f.id))
    setValue('shop.inkRoom.formulas', [...kept, ...structuredClone(formulas)] as Formula[])
    say(true, `${formulas.length} formulas taken in.`)
  }
  const takeStock = async (text: string) => {
    const { cans, problems } = readStockCsv(text, new Set(rack.map((i) => i.code)))
    if (problems.length > 0)
      return say(false, ...problems.map((p) => `line ${p.line} ${p.column}: ${p.message}`))
    for (const can of cans) {
      const done = await receiveCan(can, localNow())
      if (!done.ok) return say(false, done.message)
    }
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
      {told.length > 0 && (
        <Box role={ok ? 'status' : 'alert'} mt="2">
          {told.slice(0, 12).map((t) => (
            <Box key={t}>
              {!ok && <SeverityMark severity="Stop" word={false} />} {t}
            </Box>
          ))}
        </Box>
      )}
    </Section>
  )
}

function Ledger({ entries }: { readonly entries: readonly Entry[] }) {
  return (
    <Section title="Ledger, newest first">
      <Table css={{ '& td': { paddingBlock: '1px' } }}>
        <tbody>
          {entries.map((e) => (
            <tr key={e.id}>
              <td style={{ width: '9rem' }}>{sayMoment(momentOf(e.at))}</td>
              <td style={{ width: '6rem', fontWeight: 600 }}>{e.vessel}</td>
              <td className="num" style={{ width: '6rem' }}>
                {e.mass < 0 ? '−' : '+'}
                <Measure kind="dose" value={Math.abs(e.mass)} />
              </td>
              <td style={{ width: '9rem' }}>
                {ENTRY_KINDS[e.kind]}
                {e.corrects !== undefined && ` no. ${e.corrects}`}
              </td>
              <td>
                {e.batchId !== e.vessel && e.batchId} {e.note}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Section>
  )
}
