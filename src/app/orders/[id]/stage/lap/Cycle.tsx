import { Box } from '@chakra-ui/react'
import { message } from '@/core/advice'
import { type CycleStep, pressCycle } from '@/core/plan'
import { Section, Table } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import type { PlanProps } from '../planProps'

/** Who does what at each stop of a carousel, or how a bench goes through its batches. */
export function Cycle({ plan }: PlanProps) {
  const { units } = useSettings()
  const card = pressCycle(plan)
  if (!card) return null
  const names = (ids: readonly string[]) =>
    ids
      .flatMap((id) => plan.hits.find((h) => h.hit.id === id) ?? [])
      .map(({ hit, head }) => (head === undefined ? hit.name : `${hit.name} (head ${head})`))
      .join(', ')
  const front = (s: CycleStep) =>
    [
      names(s.front),
      s.changed && 'take it off, put the next one on',
      s.changed && s.changed.length > 0 && names(s.changed),
    ]
      .filter(Boolean)
      .join('; ')
  return (
    <Section title={card.steps.length > 0 ? 'Press cycle' : 'Batches'}>
      <Box maxWidth="46rem" mb="2">
        {message(card.why, units)}
        {card.stands && <Box>{message(card.stands, units)}</Box>}
      </Box>
      {card.steps.length > 0 && (
        <Table css={{ '& td': { paddingBlock: '2px' } }}>
          <thead>
            <tr>
              <th className="num" style={{ width: '3.5rem' }}>
                Stop
              </th>
              <th>At the front</th>
              <th style={{ width: '9rem' }}>Under the flash</th>
              {card.loader && <th style={{ width: '9rem' }}>Loader</th>}
            </tr>
          </thead>
          <tbody data-cycle>
            {card.steps.map((s, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a stop is its index
              <tr key={i}>
                <td className="num">
                  <b>{i + 1}</b>
                </td>
                <td>
                  <Box as="span" color="soft">
                    pallet {s.pallet}:
                  </Box>{' '}
                  {front(s)}
                </td>
                <td>{s.flash === undefined ? '–' : `pallet ${s.flash}`}</td>
                {card.loader && <td>{s.load === undefined ? '–' : `pallet ${s.load}, off and on`}</td>}
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </Section>
  )
}
