'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { because, q, tell } from '@/core/advice'
import { FACT_RULES } from '@/core/plan'
import { writeClock } from '@/core/quantity'
import { finishAt, RATE_RULES, type RunTime } from '@/core/rate'
import { AskButton } from '@/ui/AdviceValue'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Figure, Headline } from '@/ui/parts'
import { Section, Table } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { Swatch } from '@/ui/Swatch'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../orderContext'
import { ReleaseSection } from '../Release'
import { InkAtPress } from './InkAtPress'
import type { PlanProps } from './planProps'

/** When the run would be done if it began as the shop opens, breaks counted. */
function Done({ time }: { readonly time: RunTime }) {
  const { hours } = useOrder().shelf.shop
  const [early, late] = time.total.range.map((work) => finishAt(hours, hours.days[0] ?? 1, hours.from, work))
  if (!early || !late) return null
  const say = ({ days, clock }: typeof early) =>
    `${writeClock(clock)}${days === 0 ? '' : days === 1 ? ' the next day' : ` ${days} days later`}`
  return (
    <Box mb="5" mt="-3">
      Begun as the shop opens at{' '}
      <AskNumber label="Opens" reasons={[because(FACT_RULES, 'STOCK', { value: writeClock(hours.from) })]}>
        {writeClock(hours.from)}
      </AskNumber>{' '}
      it is done between{' '}
      <AskNumber
        label="Done by"
        reasons={time.total.range.map((work) =>
          because(RATE_RULES, 'FINISH', {
            work: q('workTime', work),
            from: writeClock(hours.from),
            breaks:
              hours.breaks.map((b) => `${writeClock(b.from)} to ${writeClock(b.to)}`).join(', ') || 'none',
          }),
        )}
      >
        <strong>{say(early)}</strong> and <strong>{say(late)}</strong>
      </AskNumber>
      , breaks counted.
    </Box>
  )
}

/** Stage 8: how long, how many of each size, and what stands in the way. */
export function RunStage({ plan }: PlanProps) {
  const { units } = useSettings()
  const { time, run } = plan
  return (
    <>
      <Section title="Time at the press, roughly">
        {time ? (
          <Grid templateColumns="2fr 1fr 1fr" gap="5" pt="1">
            <Headline label="From start to last piece">
              <AskButton advice={time.total}>
                <Measure kind="workTime" value={time.total.range[0]} /> –{' '}
                <Measure kind="workTime" value={time.total.range[1]} />
              </AskButton>
            </Headline>
            <Figure advice={time.setup} />
            <Figure advice={time.rate} />
          </Grid>
        ) : (
          <Box color="soft">No time can be told until the order of printing fits.</Box>
        )}
      </Section>
      {time && <Done time={time} />}
      <InkAtPress time={time} />
      <ReleaseSection />
      <Section title="What stands in the way">
        {plan.warnings.length === 0 && <Box color="soft">Nothing.</Box>}
        {plan.warnings.map((w) => (
          <Flex key={tell(w, 'metric')} gap="3" py="1.5" borderBottom="1px solid" borderColor="rule">
            <Box width="5rem" flex="none">
              {w.severity && <SeverityMark severity={w.severity} />}
            </Box>
            <Box>{tell(w, units)}</Box>
          </Flex>
        ))}
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
                    <Box as="span" color="soft" fontSize="0.85rem">
                      {s.size}
                    </Box>{' '}
                    <AskNumber
                      label={`Pieces, ${l.style}, ${s.size}`}
                      reasons={[because(FACT_RULES, 'SIZE_PIECES', { pieces: q('count', s.quantity) })]}
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
