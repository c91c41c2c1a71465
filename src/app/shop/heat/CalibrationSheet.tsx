'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { type ReactNode, useState } from 'react'
import { inUnits, q, type Reason } from '@/core/advice'
import { HEAT, type Refused } from '@/core/heat'
import { AskNumber } from '@/ui/AskNumber'
import { QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { Table, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Told } from '@/ui/Told'
import { begun, type Step, type Written, whole } from './readings'

/** What readings come to. */
export interface Result {
  readonly readings: readonly { readonly read: number; readonly usual: number; readonly then: number }[]
  /** Large, above the readings. */
  readonly headlines: ReactNode
  readonly use: () => void
}

interface Props {
  readonly steps: readonly Step[]
  readonly written: readonly Written[]
  readonly onWrite: (written: readonly Written[]) => void
  /** Reads one with a device: the values it knows. */
  readonly readWith: (one: Written) => Promise<Record<string, number>>
  readonly device: string
  /** What is wrong with a reading by itself, in words. */
  readonly wrongWith: (one: Written) => string | undefined
  readonly workOut: (readings: readonly Written[]) => Promise<Result | Refused>
}

/** What to read in which order, what was read, and what it comes to. Nothing changes before it is used. */
export function CalibrationSheet({ steps, written, onWrite, readWith, device, wrongWith, workOut }: Props) {
  const { units } = useSettings()
  const [answer, setAnswer] = useState<{ of: readonly Written[]; found: Result | Refused }>()
  const [busy, setBusy] = useState(false)
  const ready = whole(written, steps)
  const faulty = ready.filter((w) => wrongWith(w) !== undefined)
  // An answer is of what was written then.
  const current = answer?.of === written ? answer.found : undefined
  const run = async () => {
    setBusy(true)
    try {
      setAnswer({ of: written, found: await workOut(ready) })
    } finally {
      setBusy(false)
    }
  }
  const change = (one: Written, values: Written['values']) =>
    onWrite(written.map((w) => (w.key === one.key ? { ...w, values: { ...w.values, ...values } } : w)))
  return (
    <Box>
      <Box as="ol" listStyleType="none">
        {steps.map((step, i) => (
          <Box as="li" key={step.of} py="3" borderTop="1px solid" borderColor="rule">
            <Flex gap="3" align="baseline">
              <Box fontSize="lead" fontWeight="700">
                {i + 1}
              </Box>
              <Box>
                <Box fontWeight="650">{step.name}</Box>
                <Box maxWidth="46rem">{inUnits(step.how, units)}</Box>
              </Box>
            </Flex>
            {written
              .filter((w) => w.of === step.of)
              .map((one, n) => (
                <ReadingRow
                  key={one.key}
                  step={step}
                  one={one}
                  number={n + 1}
                  wrong={ready.includes(one) ? wrongWith(one) : undefined}
                  device={device}
                  onChange={(values) => change(one, values)}
                  onRead={async () => change(one, await readWith(one))}
                  onRemove={() => onWrite(written.filter((w) => w.key !== one.key))}
                />
              ))}
            <Box pl="6" pt="1">
              <TextButton onClick={() => onWrite([...written, begun(step)])}>
                {written.some((w) => w.of === step.of) ? 'Another' : 'Read one'}: {step.name.toLowerCase()}
              </TextButton>
            </Box>
          </Box>
        ))}
      </Box>
      <Flex gap="4" align="center" wrap="wrap" py="3" borderTop="2px solid" borderColor="ink">
        <PushButton type="button" disabled={busy || ready.length === 0 || faulty.length > 0} onClick={run}>
          {busy ? 'Working it out …' : 'Work it out'}
        </PushButton>
        <Box color="soft" role="status">
          {ready.length === 0
            ? 'Nothing is read yet.'
            : `${ready.length} of ${written.length} ${written.length === 1 ? 'reading' : 'readings'} written down`}
        </Box>
      </Flex>
      {current && <Answer steps={steps} of={ready} found={current} />}
    </Box>
  )
}

function ReadingRow({
  step,
  one,
  number,
  wrong,
  device,
  onChange,
  onRead,
  onRemove,
}: {
  readonly step: Step
  readonly one: Written
  readonly number: number
  readonly wrong: string | undefined
  readonly device: string
  readonly onChange: (values: Written['values']) => void
  readonly onRead: () => Promise<void>
  readonly onRemove: () => void
}) {
  const [reading, setReading] = useState(false)
  const read = async () => {
    setReading(true)
    try {
      await onRead()
    } finally {
      setReading(false)
    }
  }
  const of = `${step.name} ${number}`
  return (
    <Box role="group" aria-label={of} pl="6" pt="2">
      <Grid
        templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: 'repeat(4, 8rem) auto auto' }}
        gap="3"
        alignItems="end"
        justifyContent="start"
      >
        {step.writes.map((w) => (
          <QuantityInput
            key={w.field}
            label={w.label}
            kind={w.kind}
            value={one.values[w.field]}
            onGive={(value) => onChange({ [w.field]: value })}
            onEmpty={() => onChange({ [w.field]: undefined })}
          />
        ))}
        {step.device && (
          <PushButton type="button" disabled={reading} onClick={() => void read()} aria-label={`Read: ${of}`}>
            {reading ? 'Reading …' : `Read: ${device}`}
          </PushButton>
        )}
        <TextButton onClick={onRemove} aria-label={`Leave out: ${of}`}>
          Leave out
        </TextButton>
      </Grid>
      {wrong !== undefined && (
        <Box role="alert" fontWeight="650" pt="1">
          {wrong}
        </Box>
      )}
    </Box>
  )
}

/** What a reading is called among those of its kind. */
const nameOf = (of: readonly Written[], at: number, steps: readonly Step[]): string => {
  const one = of[at]
  const step = steps.find((s) => s.of === one?.of)
  const alike = of.filter((w) => w.of === one?.of)
  return `${step?.name ?? ''}${one && alike.length > 1 ? ` ${alike.indexOf(one) + 1}` : ''}`
}

function Answer({
  steps,
  of,
  found,
}: {
  readonly steps: readonly Step[]
  readonly of: readonly Written[]
  readonly found: Result | Refused
}) {
  const kindOf = (at: number) => steps.find((s) => s.of === of[at]?.of)?.kind ?? 'temperature'
  if ('odd' in found) {
    const kind = kindOf(found.odd)
    return (
      <Box role="alert">
        <Told
          reasons={[
            HEAT.because(of.length > 1 ? 'READ_ODD' : 'READ_ALONE', {
              name: nameOf(of, found.odd, steps),
              read: q(kind, found.read),
              expected: q(kind, found.expected),
            }),
          ]}
        />
      </Box>
    )
  }
  return (
    <Box role="region" aria-label="What it comes to">
      <Flex columnGap="7" rowGap="2" align="end" wrap="wrap" mb="3">
        {found.headlines}
        <PushButton type="button" onClick={found.use}>
          Use it
        </PushButton>
      </Flex>
      <Table>
        <thead>
          <tr>
            <th>Reading</th>
            <th className="num">Read</th>
            <th className="num">A usual one</th>
            <th className="num">This one</th>
          </tr>
        </thead>
        <tbody>
          {found.readings.map((r, i) => {
            const kind = kindOf(i)
            const name = nameOf(of, i, steps)
            const why: readonly Reason[] = [
              HEAT.because('READ_EACH', {
                read: q(kind, r.read),
                usual: q(kind, r.usual),
                then: q(kind, r.then),
              }),
            ]
            return (
              <tr key={of[i]?.key}>
                <td>{name}</td>
                {(['read', 'usual', 'then'] as const).map((which) => (
                  <td key={which} className="num">
                    <AskNumber label={`${name}, ${WHICH[which]}`} reasons={why}>
                      <Measure kind={kind} value={r[which]} />
                    </AskNumber>
                  </td>
                ))}
              </tr>
            )
          })}
        </tbody>
      </Table>
    </Box>
  )
}

const WHICH = { read: 'read', usual: 'a usual one', then: 'this one' } as const
