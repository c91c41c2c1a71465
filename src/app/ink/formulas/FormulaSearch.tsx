'use client'

import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import NextLink from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { useFormContext } from 'react-hook-form'
import { because, q } from '@/core/advice'
import {
  BANDS,
  difference,
  hexOfLab,
  isHex,
  type Lab,
  labOf,
  labOfHex,
  reflectanceOf,
  reflectanceOfLab,
  type Spectrum,
} from '@/core/color'
import { type ShopAndShelf, USUAL_SMEAR } from '@/core/equipment'
import { type Batch, type Can, type Candidate, isRead, MIX_RULES, WHITE_CARD } from '@/core/ink'
import { INK_SYSTEMS } from '@/core/order'
import { readCgats } from '@/formats/cgats'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { Section, Table, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { Swatch } from '@/ui/Swatch'
import { localNow } from '../../screens/clock'
import { Give, Pick, Write } from '../../screens/light/Setting'
import { nextId } from '../../shop/Rows'
import { useShop } from '../../shop/shopContext'
import { beginBatch } from '../actions'
import { FileIn } from '../FileIn'
import { useSearch } from './useSearch'

const Input = chakra('input')
const Label = chakra('label')
const Link = chakra(NextLink)

interface Props {
  readonly cans: readonly Can[]
  readonly batches: readonly Batch[]
  readonly asked: Readonly<Partial<Record<'name' | 'hex' | 'system' | 'run' | 'hit' | 'mass', string>>>
}

const GROUNDS = [
  { id: 'white', name: 'On white, or on a base' },
  { id: 'cloth', name: 'Straight on a cloth' },
  { id: 'both', name: 'On both alike' },
] as const

/** `#5b9bc9`, or L* a* b* as three numbers. */
function targetOf(text: string): Lab | undefined {
  const word = text.trim()
  if (isHex(word)) return labOfHex(word)
  const numbers = word.split(/[\s;,]+/).map(Number)
  const [l, a, b] = numbers
  if (numbers.length !== 3 || l === undefined || a === undefined || b === undefined) return undefined
  return numbers.every(Number.isFinite) && l >= 0 && l <= 100 ? { l, a, b } : undefined
}

/** A target becomes a formula: tubs that do first, then what the rack can mix, ranked. */
export function FormulaSearch({ cans, batches, asked }: Props) {
  const { inkRoom } = useShop().shop
  const { cloths } = useShop()
  const [text, setText] = useState(asked.hex ?? '#5b9bc9')
  const [name, setName] = useState(asked.name ?? '')
  const [system, setSystem] = useState(asked.system ?? 'plastisol')
  const [most, setMost] = useState('4')
  const [where, setWhere] = useState<string>('white')
  const [cloth, setCloth] = useState(cloths[0]?.name ?? '')
  /** A curve that was read, as long as the target is its colour. */
  const [reading, setReading] = useState<{ readonly text: string; readonly spectrum: Spectrum }>()
  const [told, setTold] = useState('')
  const target = targetOf(text)
  const { found, done, search, stop } = useSearch()
  const usable = inkRoom.rack.filter((i) => i.system === system && isRead(i.known))
  const opened = useMemo(() => new Set(cans.filter((c) => c.opened && c.mass > 0).map((c) => c.code)), [cans])
  const tubs = target
    ? batches
        .filter((b) => b.state !== 'mixing' && b.system === system)
        .map((b) => {
          const last = b.drawdowns.at(-1)
          return { batch: b, off: difference(last ? labOf(last.onWhite) : b.target, target) }
        })
        .filter((t) => t.off <= inkRoom.limits.accept)
        .sort((a, b) => a.off - b.off)
    : []
  const takeReading = (file: string) => {
    const read = readCgats(file)
    const [sample] = read.ok ? read.samples : []
    if (!read.ok || !sample) return setTold(read.ok ? 'There is no sample in it.' : (read.wrong[0] ?? ''))
    const spectrum =
      sample.spectrum ?? (sample.lab && reflectanceOfLab(sample.lab, read.light)) ?? reflectanceOf('#808080')
    const { l, a, b } = labOf(spectrum)
    const words = [l, a, b].map((x) => x.toFixed(2)).join(' ')
    setText(words)
    setReading({ text: words, spectrum })
    setTold([`${sample.name} is the target.`, ...read.notes].join(' '))
  }
  const go = () => {
    if (!target) return
    const white = { ground: BANDS.map(() => WHITE_CARD), film: USUAL_SMEAR }
    const hex = cloths.find((c) => c.name === cloth)?.hex ?? '#808080'
    const direct = { ground: reflectanceOf(hex), film: USUAL_SMEAR }
    search(usable, {
      target: reading?.text === text ? reading.spectrum : reflectanceOfLab(target),
      conditions: where === 'white' ? [white] : where === 'cloth' ? [direct] : [white, direct],
      opened,
      most: Number(most),
    })
  }
  return (
    <>
      <Grid templateColumns="auto 1.2fr 1fr 1fr 1fr" gap="4" alignItems="end" mb="4">
        <Swatch hex={target ? hexOfLab(target) : '#808080'} size={72} />
        <Box>
          <Label htmlFor="target" display="block" fontSize="0.82rem" color="soft">
            Target: a colour as #rrggbb, or L* a* b*
          </Label>
          <Input
            id="target"
            value={text}
            onChange={(e) => setText(e.target.value)}
            aria-invalid={!target}
            bg="raised"
            px="2"
            minHeight="2.4rem"
            fontSize="1.2rem"
            width="100%"
            borderBottom="1px solid"
            borderColor="soft"
          />
          {!target && (
            <Box role="alert" fontSize="0.82rem" fontWeight="650">
              Not a colour: type, for example, #5b9bc9 or 61 -8 -30.
            </Box>
          )}
        </Box>
        <Pick
          label="Ink system"
          value={system}
          options={Object.entries(INK_SYSTEMS).map(([id, n]) => ({ id, name: n }))}
          onPick={setSystem}
        />
        <Pick
          label="At most"
          value={most}
          options={['1', '2', '3', '4'].map((n) => ({ id: n, name: `${n} inks` }))}
          onPick={setMost}
        />
        <Pick label="Right" value={where} options={GROUNDS} onPick={setWhere} />
      </Grid>
      <Flex gap="4" align="end" mb="5" wrap="wrap">
        <Box width="14rem">
          <Write label="What it will be called" value={name} onWrite={setName} />
        </Box>
        <Box>
          <FileIn label="Or a reading of the sample (CGATS text)" onText={takeReading} />
          {told && (
            <Box role="status" fontSize="0.87rem">
              {told}
            </Box>
          )}
        </Box>
        {where !== 'white' && (
          <Box width="12rem">
            <Pick
              label="Cloth"
              value={cloth}
              options={cloths.map((c) => ({ id: c.name, name: c.name }))}
              onPick={setCloth}
            />
          </Box>
        )}
        <PushButton type="button" onClick={go} disabled={!target || usable.length === 0}>
          Search
        </PushButton>
        {done !== undefined && (
          <Flex gap="3" align="center" role="status" aria-label="Search">
            <progress value={done} max={1} /> {Math.round(done * 100)} %
            <TextButton onClick={stop}>stop</TextButton>
          </Flex>
        )}
        {usable.length === 0 && (
          <Box role="alert">
            <SeverityMark severity="Stop" /> No ink of this system on the rack was read: formulas are computed
            from readings only, never from a class.
          </Box>
        )}
      </Flex>
      {tubs.length > 0 && (
        <Section title="Mix nothing: these tubs do">
          {tubs.map(({ batch, off }) => (
            <Flex key={batch.id} gap="4" align="center" py="1" borderTop="1px solid" borderColor="rule">
              <Box fontSize="1.2rem" fontWeight="700">
                {batch.id}
              </Box>
              <Box>{batch.name}</Box>
              <Box fontWeight="650">
                <Measure kind="mass" value={batch.mass} />
              </Box>
              <Box color="soft">
                off by <Measure kind="difference" value={off} />
              </Box>
              <Link href={`/ink/bench/${batch.id}`} textDecoration="underline">
                Open
              </Link>
            </Flex>
          ))}
        </Section>
      )}
      {found && target && <Results found={found} target={target} name={name} system={system} asked={asked} />}
    </>
  )
}

/** Formulas shown at first. */
const SHOWN = 8

function Results({
  found,
  target,
  name,
  system,
  asked,
}: {
  readonly found: readonly Candidate[]
  readonly target: Lab
  readonly name: string
  readonly system: string
  readonly asked: Props['asked']
}) {
  const { rack, limits } = useShop().shop.inkRoom
  const { getValues, setValue } = useFormContext<ShopAndShelf>()
  const router = useRouter()
  const [mass, setMass] = useState(Number(asked.mass) || 0.6)
  const [problem, setProblem] = useState('')
  const called = name.trim() || hexOfLab(target)
  const inkOf = (code: string) => rack.find((i) => i.code === code)?.name ?? code
  const keep = (c: Candidate) => {
    const before = getValues('shop.inkRoom.formulas')
    const others = before.filter((f) => f.name.toLowerCase() !== called.toLowerCase())
    const formula = { id: nextId(before as never, 'M'), name: called, system, target, parts: [...c.parts] }
    setValue('shop.inkRoom.formulas', [...others, structuredClone(formula)] as never)
  }
  const mix = async (c: Candidate) => {
    keep(c)
    const done = await beginBatch(
      {
        name: called,
        system,
        target,
        parts: c.parts,
        runId: asked.run ?? '',
        hitId: asked.hit ?? '',
        wanted: mass,
      },
      localNow(),
    )
    if (done.ok) router.push(`/ink/bench/${done.id}`)
    else setProblem(done.message)
  }
  const best = found[0]
  return (
    <Section
      title={`Formulas for ${called}`}
      side={
        <Flex align="end" gap="2" width="11rem">
          <Give label="Batch" kind="mass" value={mass} onGive={setMass} />
        </Flex>
      }
    >
      {best && best.difference > limits.again && (
        <Box mb="2">
          <SeverityMark severity="Watch" /> No mix of these inks comes nearer than{' '}
          <Measure kind="difference" value={Math.min(...found.map((c) => c.difference))} />: the target lies
          outside of what they can make.
        </Box>
      )}
      {problem && (
        <Box role="alert" mb="2">
          <SeverityMark severity="Stop" /> {problem}
        </Box>
      )}
      <Table css={{ '& td': { paddingBlock: '5px', verticalAlign: 'middle' } }}>
        <thead>
          <tr>
            <th>Target and mix</th>
            <th className="num">Off by</th>
            <th className="num">By lamplight</th>
            <th className="num">Hides</th>
            <th className="num">Cost</th>
            <th>Parts, largest first</th>
            <th>To open</th>
            <th>
              <Box srOnly>Mix it</Box>
            </th>
          </tr>
        </thead>
        <tbody>
          {found.slice(0, SHOWN).map((c) => {
            const reasons = [
              because(MIX_RULES, 'FOUND', {
                difference: q('difference', c.difference),
                lamp: q('difference', c.lamp),
                hides: q('share', c.hides),
              }),
            ]
            const key = c.parts.map((p) => p.code).join('+')
            return (
              <tr key={key}>
                <td>
                  <Flex>
                    <Swatch hex={hexOfLab(target)} size={30} />
                    <Swatch hex={hexOfLab(c.colour)} size={30} />
                  </Flex>
                </td>
                <td className="num">
                  <AskNumber label={`Off by, ${key}`} reasons={reasons}>
                    <Box as="span" fontSize="1.4rem" fontWeight="700">
                      <Measure kind="difference" value={c.difference} />
                    </Box>
                  </AskNumber>
                </td>
                <td className="num">
                  <AskNumber label={`By lamplight, ${key}`} reasons={reasons}>
                    <Measure kind="difference" value={c.lamp} />
                  </AskNumber>
                </td>
                <td className="num">
                  <AskNumber label={`Hides, ${key}`} reasons={reasons}>
                    <Measure kind="share" value={c.hides} />
                  </AskNumber>
                </td>
                <td className="num">
                  <AskNumber label={`Cost, ${key}`} reasons={[because(MIX_RULES, 'MONEY')]}>
                    <Measure kind="price" value={c.cost} />
                  </AskNumber>
                </td>
                <td>{c.parts.map((p) => `${inkOf(p.code)} ${(p.share * 100).toFixed(1)} %`).join(', ')}</td>
                <td>{c.opens.join(', ') || 'none'}</td>
                <td className="num">
                  <PushButton type="button" px="3" onClick={() => mix(c)} aria-label={`Mix ${key}`}>
                    Mix it
                  </PushButton>
                </td>
              </tr>
            )
          })}
        </tbody>
      </Table>
    </Section>
  )
}
