import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { BaseInk } from '@/core/equipment'
import type { Can } from '@/core/ink'
import { localNow } from '@/ui/clock'
import { Day } from '@/ui/day'
import { Pick, QuantityInput, TextInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { Section, Table, TextButton } from '@/ui/Section'
import { act } from '../../acts/act'

const Link = chakra('a')

/** What stands on the rack, by can and lot, and a can that comes in. */
export function Cans({ cans, rack }: { readonly cans: readonly Can[]; readonly rack: readonly BaseInk[] }) {
  const [code, setCode] = useState(rack[0]?.code ?? '')
  const [lot, setLot] = useState('')
  const [mass, setMass] = useState(1)
  const [problem, setProblem] = useState('')
  const densityOf = (code: string) => rack.find((i) => i.code === code)?.density
  const full = cans.filter((c) => c.mass > 0)
  const add = async () => {
    const done = await act('receiveCans', { cans: [{ code, lot, mass }], at: localNow() })
    setProblem(done.ok ? '' : done.message)
    if (done.ok) setLot('')
  }
  const count = async (canId: string, mass: number) => {
    const done = await act('countCan', { canId, mass, at: localNow() })
    setProblem(done.ok ? '' : done.message)
  }
  return (
    <Section
      id="cans"
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
            <th>Is it otherwise?</th>
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
                <td>{c.opened ? <Day at={c.opened} as="d MMM" /> : 'closed'}</td>
                <td>
                  <Counted
                    key={c.mass}
                    can={c}
                    density={ink?.density}
                    onCount={(mass) => void count(c.id, mass)}
                  />
                </td>
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
          <TextInput label="Lot" value={lot} onWrite={setLot} />
        </Box>
        <Box width="8rem">
          <QuantityInput
            label="Weight of the ink"
            kind="mass"
            density={densityOf(code)}
            value={mass}
            onGive={setMass}
          />
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

/** The can was weighed or looked into: the book follows, or it goes off the rack. */
function Counted({
  can,
  density,
  onCount,
}: {
  readonly can: Can
  readonly density: number | undefined
  readonly onCount: (mass: number) => void
}) {
  const [open, setOpen] = useState(false)
  if (!open)
    return (
      <TextButton px="0" fontSize="small" aria-label={`Correct ${can.id}`} onClick={() => setOpen(true)}>
        correct
      </TextButton>
    )
  return (
    <Flex gap="3" align="end">
      <Box width="7rem">
        <QuantityInput
          label={`Really in ${can.id}`}
          kind="mass"
          density={density}
          value={can.mass}
          onGive={onCount}
        />
      </Box>
      <TextButton pb="1" aria-label={`${can.id} is gone`} onClick={() => onCount(0)}>
        gone
      </TextButton>
      <TextButton pb="1" aria-label={`Leave ${can.id}`} onClick={() => setOpen(false)}>
        leave it
      </TextButton>
    </Flex>
  )
}
