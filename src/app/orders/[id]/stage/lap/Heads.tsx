import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { flashesAt, headsOf, headTurned, type Shop } from '@/core/equipment'
import { framesAt, mountedAsPlanned, mountedAt, stoodAt, takenDown } from '@/core/plan'
import { Folded, TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { SeverityMark } from '@/ui/Severity'
import { useOrder } from '../../orderContext'
import type { PlanProps } from '../planProps'
import { HeadNow } from './HeadNow'
import { type Changed, WhatChanges } from './WhatChanges'

/** Heads of the press now: whether each works and what is mounted there. The rest is planned anew at once, and what changes is told. */
export function Heads({ plan }: PlanProps) {
  const { order, shelf, changeShop } = useOrder()
  const { shop } = shelf
  const { press } = plan
  const [changed, setChanged] = useState<Changed>()
  const [problem, setProblem] = useState('')
  const [notReady, setNotReady] = useState<readonly string[]>([])
  const heads = headsOf(press)
  if (heads.length === 0) return null
  const change = async (what: string, to: (shop: Shop) => Shop) => {
    setNotReady([])
    setChanged({ what, plan })
    setProblem(await changeShop(to))
  }
  const of = { orderId: order.id, print: plan.run.placement.id }
  const mountAll = () => {
    void change('All that is ready is mounted as planned', (now) => mountedAsPlanned(now, plan, of).shop)
    setNotReady(mountedAsPlanned(shop, plan, of).notReady)
  }
  const frames = framesAt(shop, press)
  const units = press.kind === 'automatic' ? flashesAt(shop, press) : []
  return (
    <Folded title="On the press now" says={nowWords(frames.size, heads)}>
      <Flex gap="4" mb="2">
        {plan.sequence.fits && <TextButton onClick={mountAll}>mounted as planned</TextButton>}
        {frames.size > 0 && (
          <TextButton onClick={() => change('All screens taken down', (now) => takenDown(now, press))}>
            take all down
          </TextButton>
        )}
      </Flex>
      <Flex wrap="wrap" role="group" aria-label={`Heads of ${press.name}`} rowGap="2">
        {heads.map((h) => (
          <HeadNow
            key={h.number}
            head={h.number}
            works={h.works}
            frame={frames.get(h.number)}
            unit={units.find((u) => u.station === h.number)}
            of={of}
            onTurn={() =>
              change(`Head ${h.number} ${h.works ? 'is out of service' : 'works again'}`, (now) => ({
                ...now,
                presses: now.presses.map((p) => (p.id === press.id ? headTurned(p, h.number) : p)),
              }))
            }
            onMount={(id) =>
              id === ''
                ? change(`Nothing is mounted at head ${h.number}`, (now) => takenDown(now, press, h.number))
                : change(`${id} is mounted at head ${h.number}`, (now) => mountedAt(now, id, press, h.number))
            }
          />
        ))}
      </Flex>
      <Flex gap="6" mt="2" align="baseline" wrap="wrap" fontSize="small" color="soft">
        {units.map((unit) => (
          <span key={unit.id}>
            <label htmlFor={`stands-${unit.id}`}>{unit.name} stands at</label>{' '}
            <Select
              id={`stands-${unit.id}`}
              value={String(unit.station ?? '')}
              onChange={(e) =>
                change(`${unit.name} stands elsewhere`, (now) =>
                  stoodAt(now, unit, e.target.value === '' ? undefined : Number(e.target.value)),
                )
              }
            >
              <option value="">not known</option>
              {press.kind === 'automatic' &&
                press.stations
                  .filter((s) => s.flashAllowed)
                  .map((s) => (
                    <option key={s.number} value={s.number}>
                      {s.number}
                    </option>
                  ))}
            </Select>
          </span>
        ))}
        <span>Press the number of a head that fails; press it again when it works.</span>
      </Flex>
      {notReady.length > 0 && (
        <Box role="status" mt="2">
          <SeverityMark severity="Note" /> Not mounted, not through the screen room yet: {notReady.join(', ')}
          .
        </Box>
      )}
      {problem && (
        <Box role="alert" mt="2">
          <SeverityMark severity="Stop" /> {problem}
        </Box>
      )}
      <WhatChanges since={changed} plan={plan} onClose={() => setChanged(undefined)} />
    </Folded>
  )
}

/** What is mounted and what fails, in a few words. */
function nowWords(mounted: number, heads: ReturnType<typeof headsOf>): string {
  const out = heads.filter((h) => !h.works).map((h) => h.number)
  return [
    mounted === 0 ? 'nothing mounted' : `${mounted} ${mounted === 1 ? 'screen' : 'screens'} mounted`,
    out.length > 0 && `${out.length === 1 ? 'head' : 'heads'} ${out.join(', ')} out of service`,
  ]
    .filter(Boolean)
    .join(', ')
}
