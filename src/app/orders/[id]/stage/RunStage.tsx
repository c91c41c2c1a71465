'use client'

import { Box, Flex } from '@chakra-ui/react'
import { q } from '@/core/advice'
import { driesInScreen } from '@/core/order'
import { PLAN } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { Section, Table } from '@/ui/Section'
import { Swatch } from '@/ui/Swatch'
import { Told } from '@/ui/Told'
import { ReleaseSection } from '../Release'
import { Before } from './Before'
import { InkAtPress } from './InkAtPress'
import { CostSection } from './pace/CostSection'
import { Finish } from './pace/Finish'
import { OpeningSection } from './pace/OpeningSection'
import { PaceSection } from './pace/PaceSection'
import { Timeline } from './pace/Timeline'
import type { PlanProps } from './planProps'

/** Stage 8: how long, how many of each size, and what stands in the way. */
export function RunStage({ plan }: PlanProps) {
  const { time, run } = plan
  return (
    <>
      {time ? (
        <>
          <PaceSection time={time} />
          <Finish time={time} driesIn={plan.hits.some((h) => driesInScreen(h.hit.system))} />
          <OpeningSection plan={plan} />
          <Timeline time={time} />
          <CostSection plan={plan} />
        </>
      ) : (
        <Section title="Time at the press, roughly">
          <Box color="soft">No time can be told until the order of printing fits.</Box>
        </Section>
      )}
      <Before />
      <InkAtPress time={time} />
      <ReleaseSection />
      <Section title="What stands in the way">
        {plan.warnings.length === 0 && <Box color="soft">Nothing.</Box>}
        <Told reasons={plan.warnings} />
      </Section>
      <Section title={`${run.quantity} pieces`}>
        <Table width="auto">
          <tbody>
            {run.lines.map((l) => (
              <tr key={l.id}>
                <td>
                  <Flex gap="2" align="center">
                    <Swatch hex={l.cloth.hex} /> {l.style}, {l.cloth.name}
                  </Flex>
                </td>
                {l.sizes.map((s) => (
                  <td key={s.size} className="num">
                    <Box as="span" color="soft" fontSize="small">
                      {s.size}
                    </Box>{' '}
                    <AskNumber
                      label={`Pieces, ${l.style}, ${s.size}`}
                      reasons={[PLAN.because('SIZE_PIECES', { pieces: q('count', s.quantity) })]}
                    >
                      <strong>{s.quantity}</strong>
                    </AskNumber>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </Table>
      </Section>
    </>
  )
}
