'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import { hexOfLab, labOf, readColour, reflectanceOf, reflectanceOfLab, type Spectrum } from '@/core/color'
import { type Batch, type Can, isRead, SMEAR, tubsNear } from '@/core/ink'
import { INK_SYSTEMS } from '@/core/order'
import { readCgats } from '@/formats/cgats'
import { Input, Label, Link } from '@/ui/elements'
import { Pick, TextInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { Section, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { Swatch } from '@/ui/Swatch'
import { useShop } from '../../shop/shopContext'
import { FileIn } from '../FileIn'
import { type Asked, type OnCloth, smearOn } from './asked'
import { Results } from './Results'
import { useSearch } from './useSearch'

interface Props {
  readonly cans: readonly Can[]
  readonly batches: readonly Batch[]
  readonly asked: Asked
}

const GROUNDS = [
  { id: 'white', name: 'On white, or on a base' },
  { id: 'cloth', name: 'Straight on a cloth' },
  { id: 'both', name: 'On both alike' },
] as const

/** A target becomes a formula: tubs that do first, then what the rack can mix, ranked. */
export function FormulaSearch({ cans, batches, asked }: Props) {
  const { inkRoom } = useShop().shop
  const { cloths } = useShop()
  const [text, setText] = useState(asked.hex ?? '#5b9bc9')
  const [name, setName] = useState(asked.name ?? '')
  const [system, setSystem] = useState(asked.system ?? 'plastisol')
  const [most, setMost] = useState('4')
  const [where, setWhere] = useState<string>('white')
  const [clothName, setCloth] = useState(asked.cloth ?? cloths[0]?.name ?? '')
  const own = asked.cloth && asked.on ? [{ name: asked.cloth, hex: asked.on }] : []
  const grounds: readonly OnCloth[] = [...own, ...cloths.filter((c) => c.name !== asked.cloth)]
  const cloth = grounds.find((c) => c.name === clothName) ?? { name: 'grey cloth', hex: '#808080' }
  /** A curve that was read, as long as the target is its colour. */
  const [reading, setReading] = useState<{ readonly text: string; readonly spectrum: Spectrum }>()
  const [notice, setNotice] = useState('')
  const target = readColour(text)
  const { found, done, search, stop } = useSearch()
  const usable = inkRoom.rack.filter((i) => i.system === system && isRead(i.characterisation))
  const opened = useMemo(() => new Set(cans.filter((c) => c.opened && c.mass > 0).map((c) => c.code)), [cans])
  const tubs = target ? tubsNear(batches, target, system, inkRoom.limits) : []
  const takeReading = (file: string) => {
    const read = readCgats(file)
    const [sample] = read.ok ? read.samples : []
    if (!read.ok || !sample) return setNotice(read.ok ? 'There is no sample in it.' : (read.wrong[0] ?? ''))
    const spectrum =
      sample.spectrum ?? (sample.lab && reflectanceOfLab(sample.lab, read.light)) ?? reflectanceOf('#808080')
    const { l, a, b } = labOf(spectrum)
    const words = [l, a, b].map((x) => x.toFixed(2)).join(' ')
    setText(words)
    setReading({ text: words, spectrum })
    setNotice([`${sample.name} is the target.`, ...read.notes].join(' '))
  }
  const go = () => {
    if (!target) return
    const direct = smearOn(cloth.hex)
    search(usable, {
      target: reading?.text === text ? reading.spectrum : reflectanceOfLab(target),
      conditions: where === 'white' ? [SMEAR] : where === 'cloth' ? [direct] : [SMEAR, direct],
      opened,
      most: Number(most),
    })
  }
  return (
    <>
      <Grid
        templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: 'auto 1.2fr 1fr 1fr 1fr' }}
        gap="4"
        alignItems="end"
        mb="4"
      >
        <Swatch hex={target ? hexOfLab(target) : '#808080'} size={72} />
        <Box>
          <Label htmlFor="target" display="block" fontSize="small" color="soft">
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
            fontSize="lead"
            width="100%"
            borderBottom="1px solid"
            borderColor="soft"
          />
          {!target && (
            <Box role="alert" fontSize="small" fontWeight="650">
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
          <TextInput label="What it will be called" value={name} onWrite={setName} />
        </Box>
        <Box>
          <FileIn label="Or a reading of the sample (CGATS text)" onText={takeReading} />
          {notice && (
            <Box role="status" fontSize="small">
              {notice}
            </Box>
          )}
        </Box>
        <Box width="12rem">
          <Pick
            label="Cloth"
            value={cloth.name}
            options={grounds.map((c) => ({ id: c.name, name: c.name }))}
            onPick={setCloth}
          />
        </Box>
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
      {tubs.length > 0 && <Tubs tubs={tubs} />}
      {found && target && (
        <Results
          found={found}
          target={target}
          name={name}
          system={system}
          cloth={cloth}
          cans={cans}
          asked={asked}
        />
      )}
    </>
  )
}

/** Tubs that are near enough: nothing needs mixing. */
function Tubs({ tubs }: { readonly tubs: readonly { readonly tub: Batch; readonly off: number }[] }) {
  return (
    <Section title="Mix nothing: these tubs do">
      {tubs.map(({ tub: batch, off }) => (
        <Flex key={batch.id} gap="4" align="center" py="1" borderTop="1px solid" borderColor="rule">
          <Box fontSize="lead" fontWeight="700">
            {batch.id}
          </Box>
          <Box>{batch.name}</Box>
          <Box fontWeight="650">
            <Measure kind="mass" value={batch.mass} />
          </Box>
          <Box color="soft">
            ΔE <Measure kind="difference" value={off} />
          </Box>
          <Link href={`/ink/bench/${batch.id}`} textDecoration="underline">
            Open
          </Link>
        </Flex>
      ))}
    </Section>
  )
}
