import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { type Placement, WHERES, type Where } from '@/core/order'
import type { RunPlan } from '@/core/plan'
import { GANG_GAPS, type Gang, type Ganged, gangOf } from '@/core/registration'
import { FRAME_WALL, ROOM } from '@/core/screen'
import { AskNumber } from '@/ui/AskNumber'
import { Pick, QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { Folded, Table } from '@/ui/Section'
import { Told } from '@/ui/Told'
import { useOrder } from '../orderContext'

/** Sheets of film, mm. */
const SHEETS = { A4: [210, 297], A3: [297, 420], A2: [420, 594] } as const
const MARGIN = 0.01
const MOST = 12

const calledOf = (where: Where, sizes: Placement['sizes']): string =>
  `${WHERES[where]}${sizes === 'all' ? '' : `, ${sizes}`}`

/** Small prints of the order on one screen, or on one sheet of film: where each lies. */
export function Together({ plan }: { readonly plan: RunPlan }) {
  const { order } = useOrder()
  const [on, setOn] = useState('screen')
  const [copies, setCopies] = useState<Readonly<Record<string, number>>>({})
  const prints = order.placements.filter((p) => p.inks.length > 0)
  if (prints.length === 0) return null
  const isOther = prints.length > 1
  const all: readonly Ganged[] = prints.flatMap(({ id, where, sizes, width, height }) =>
    Array.from({ length: Math.min(MOST, copies[id] ?? 1) }, (_, i) => ({
      ...{ id: `${id}.${i}`, width, height },
      name: `${calledOf(where, sizes)}${(copies[id] ?? 1) > 1 ? `, ${i + 1}` : ''}`,
    })),
  )
  const { frameWidth, frameHeight } = plan.position
  const round = FRAME_WALL + ROOM
  const sheet = SHEETS[on as keyof typeof SHEETS]
  const area = sheet
    ? { width: sheet[0] / 1000 - 2 * MARGIN, height: sheet[1] / 1000 - 2 * MARGIN, turns: true }
    : { width: frameWidth - 2 * round, height: frameHeight - 2 * round, turns: false }
  const gang = gangOf(all, { ...area, gap: sheet ? GANG_GAPS.film : GANG_GAPS.screen })
  const off = sheet ? MARGIN : round
  return (
    <Folded
      title="Several on one screen or sheet"
      says={
        isOther || all.length > 1
          ? `${gang.placed.length} of ${all.length} fit`
          : 'small prints beside each other'
      }
    >
      <Flex gap="5" align="end" wrap="wrap" mb="3">
        <Box width="14rem">
          <Pick
            label="On"
            value={on}
            options={[
              { id: 'screen', name: 'The frame of this run' },
              ...Object.keys(SHEETS).map((id) => ({ id, name: `A sheet of film, ${id}` })),
            ]}
            onPick={setOn}
          />
        </Box>
        {prints.map(({ id, where, sizes }) => (
          <Box key={id} width="8rem">
            <QuantityInput
              label={calledOf(where, sizes)}
              kind="count"
              value={copies[id] ?? 1}
              onGive={(n) => setCopies({ ...copies, [id]: Math.max(0, Math.round(n)) })}
            />
          </Box>
        ))}
      </Flex>
      <Flex gap="8" align="start" wrap="wrap">
        <Drawing gang={gang} width={area.width} height={area.height} />
        <Box>
          <Told reasons={gang.reasons.filter((r) => r.severity !== undefined)} />
          <Table width="auto">
            <thead>
              <tr>
                <th>Print</th>
                <th className="num">From the left edge</th>
                <th className="num">From the top edge</th>
                <th>Lies</th>
              </tr>
            </thead>
            <tbody>
              {gang.placed.map((p) => (
                <tr key={p.id}>
                  <td>{p.name}</td>
                  {(['x', 'y'] as const).map((axis) => (
                    <td key={axis} className="num">
                      <AskNumber
                        label={`${axis === 'x' ? 'From the left edge' : 'From the top edge'}, ${p.name}`}
                        reasons={gang.reasons}
                      >
                        <Measure kind="length" value={p[axis] + off} />
                      </AskNumber>
                    </td>
                  ))}
                  <td>{p.turned ? 'turned' : 'upright'}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Box>
      </Flex>
    </Folded>
  )
}

function Drawing({
  gang,
  width,
  height,
}: {
  readonly gang: Gang
  readonly width: number
  readonly height: number
}) {
  return (
    <svg
      viewBox={`-4 -4 ${width * 1000 + 8} ${height * 1000 + 8}`}
      height={260}
      style={{ maxWidth: '100%' }}
      role="img"
      aria-label="Where each print lies, to scale"
    >
      <rect width={width * 1000} height={height * 1000} fill="none" stroke="currentColor" strokeWidth="2" />
      {gang.placed.map((p) => (
        <g key={p.id}>
          <rect
            x={p.x * 1000}
            y={p.y * 1000}
            width={(p.turned ? p.height : p.width) * 1000}
            height={(p.turned ? p.width : p.height) * 1000}
            fill="none"
            stroke="currentColor"
            strokeWidth="3"
          />
          <text x={p.x * 1000 + 6} y={p.y * 1000 + 24} style={{ fontSize: 22 }} fill="currentColor">
            {p.id.split('.')[0]}
          </text>
        </g>
      ))}
    </svg>
  )
}
