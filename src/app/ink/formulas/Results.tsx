import { Box, Flex } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { useFormContext } from 'react-hook-form'
import { q } from '@/core/advice'
import { difference, hexOfLab, type Lab } from '@/core/color'
import type { ShopAndShelf } from '@/core/equipment'
import {
  type Can,
  type Candidate,
  colourOn,
  INK,
  type Missing,
  missingFor,
  mixed,
  partsOf,
  standOut,
} from '@/core/ink'
import { AskNumber } from '@/ui/AskNumber'
import { localNow } from '@/ui/clock'
import { QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { Folded, Section, Table } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { Swatch } from '@/ui/Swatch'
import { act } from '../../acts/act'
import { unlocked } from '../../edits/unlocked'
import { nextId } from '../../shop/Rows'
import { useShop } from '../../shop/shopContext'
import { NotBooked } from '../NotBooked'
import { type Asked, type OnCloth, smearOn } from './asked'

/** Formulas that are looked at: those further down are no one's choice. */
const LOOKED_AT = 12

export function Results({
  found,
  target,
  name,
  system,
  cloth,
  cans,
  asked,
}: {
  readonly found: readonly Candidate[]
  readonly target: Lab
  readonly name: string
  readonly system: string
  readonly cloth: OnCloth
  readonly cans: readonly Can[]
  readonly asked: Asked
}) {
  const { limits } = useShop().shop.inkRoom
  const { getValues, setValue } = useFormContext<ShopAndShelf>()
  const router = useRouter()
  const [mass, setMass] = useState(Number(asked.mass) || 0.6)
  const [problem, setProblem] = useState('')
  const called = name.trim() || hexOfLab(target)
  const keep = (c: Candidate) => {
    const before = getValues('shop.inkRoom.formulas')
    const others = before.filter((f) => f.name.toLowerCase() !== called.toLowerCase())
    const formula = { id: nextId(before, 'M'), name: called, system, target, parts: [...c.parts] }
    setValue('shop.inkRoom.formulas', unlocked([...others, formula]))
  }
  const mix = async (c: Candidate) => {
    keep(c)
    const done = await act('beginBatch', {
      batch: {
        name: called,
        system,
        target,
        parts: c.parts,
        runId: asked.run ?? '',
        hitId: asked.hit ?? '',
        wanted: mass,
      },
      at: localNow(),
    })
    if (done.ok) router.push(`/ink/bench/${done.id}`)
    else setProblem(done.message)
  }
  const { shown, alike } = useMemo(() => standOut(found.slice(0, LOOKED_AT)), [found])
  const row = {
    ...{ target, cloth },
    missingOf: (parts: Candidate['parts']) => missingFor(parts, mass, cans),
    onMix: (c: Candidate) => void mix(c),
  }
  const best = found[0]
  return (
    <Section
      title={`Formulas for ${called}`}
      side={
        <Flex align="end" gap="2" width="11rem">
          <QuantityInput label="Batch" kind="mass" value={mass} onGive={setMass} />
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
      <Formulas candidates={shown} {...row} />
      {alike.length > 0 && (
        <Box mt="5">
          <Folded
            title={`${alike.length} more`}
            says="no better than one above in colour, lamplight, hiding, cost or cans to open"
          >
            <Formulas candidates={alike} {...row} />
          </Folded>
        </Box>
      )}
    </Section>
  )
}

interface RowProps {
  readonly target: Lab
  readonly cloth: OnCloth
  /** What of it no can holds. */
  readonly missingOf: (parts: Candidate['parts']) => readonly Missing[]
  readonly onMix: (c: Candidate) => void
}

/** Formulas side by side: what each comes to, and what it takes. */
function Formulas({ candidates, ...row }: RowProps & { readonly candidates: readonly Candidate[] }) {
  return (
    <Table css={{ '& td': { paddingBlock: '5px', verticalAlign: 'middle' } }}>
      <thead>
        <tr>
          <th>Target and mix</th>
          <th className="num">ΔE</th>
          <th>Straight on {row.cloth.name}</th>
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
        {candidates.map((c) => (
          <Formula key={c.parts.map((p) => p.code).join('+')} candidate={c} {...row} />
        ))}
      </tbody>
    </Table>
  )
}

function Formula({
  candidate: c,
  target,
  cloth,
  missingOf,
  onMix,
}: RowProps & { readonly candidate: Candidate }) {
  const missing = missingOf(c.parts)
  const { rack } = useShop().shop.inkRoom
  const inkOf = (code: string) => rack.find((i) => i.code === code)?.name ?? code
  const reasons = [
    INK.because('FOUND', {
      difference: q('difference', c.difference),
      lamp: q('difference', c.lamp),
      hides: q('share', c.hides),
    }),
  ]
  const key = c.parts.map((p) => p.code).join('+')
  return (
    <tr>
      <td>
        <Flex>
          <Swatch hex={hexOfLab(target)} size={30} />
          <Swatch hex={hexOfLab(c.colour)} size={30} />
        </Flex>
      </td>
      <td className="num">
        <AskNumber label={`ΔE, ${key}`} reasons={reasons}>
          <Box as="span" fontSize="title" fontWeight="700">
            <Measure kind="difference" value={c.difference} />
          </Box>
        </AskNumber>
      </td>
      <td>
        <ClothCell candidate={c} target={target} cloth={cloth} name={key} />
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
        <AskNumber label={`Cost, ${key}`} reasons={[INK.because('MONEY')]}>
          <Measure kind="price" value={c.cost} />
        </AskNumber>
      </td>
      <td>{c.parts.map((p) => `${(p.share * 100).toFixed(1)} % ${inkOf(p.code)}`).join(', ')}</td>
      <td>
        {c.opens.join(', ') || 'none'}
        {missing.length > 0 && <NotBooked missing={missing} />}
      </td>
      <td className="num">
        <PushButton type="button" px="3" onClick={() => onMix(c)} aria-label={`Mix ${key}`}>
          Mix it
        </PushButton>
      </td>
    </tr>
  )
}

/** What a mix comes to without a base under it. */
function ClothCell({
  candidate,
  target,
  cloth,
  name,
}: {
  readonly candidate: Candidate
  readonly target: Lab
  readonly cloth: OnCloth
  readonly name: string
}) {
  const { rack } = useShop().shop.inkRoom
  const parts = partsOf(candidate.parts, rack)
  if (!parts) return null
  const colour = colourOn(mixed(parts), smearOn(cloth.hex))
  const off = difference(colour, target)
  return (
    <Flex gap="2" align="center">
      <Box bg={cloth.hex} p="5px">
        <Swatch hex={hexOfLab(colour)} size={22} />
      </Box>
      <AskNumber
        label={`Straight on ${cloth.name}, ${name}`}
        reasons={[INK.because('ON_CLOTH', { cloth: cloth.name, difference: q('difference', off) })]}
      >
        <Measure kind="difference" value={off} />
      </AskNumber>
    </Flex>
  )
}
