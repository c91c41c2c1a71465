import { Box, Flex, Grid } from '@chakra-ui/react'
import { useMemo } from 'react'
import { numberOf, q } from '@/core/advice'
import { bottlenecks, RATE, RESOURCES, type RunTime, whatIfs } from '@/core/rate'
import { AskButton } from '@/ui/AdviceValue'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { ChoiceFigure, Figure, Headline } from '@/ui/parts'
import { Section, Table } from '@/ui/Section'

/** Time at the press: how long, by whom, what limits the pace, and what would make it quicker. */
export function PaceSection({ time }: { readonly time: RunTime }) {
  const gains = useMemo(() => bottlenecks(time.need), [time.need])
  const ways = useMemo(() => whatIfs(time), [time])
  const now = numberOf(time.rate)
  const capped = time.most !== undefined && now >= time.most - 1e-9
  return (
    <Section title="Time at the press, roughly">
      <Grid
        templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: '2fr 1fr 1fr 1fr' }}
        gap="5"
        pt="1"
        alignItems="end"
      >
        <Headline label="From start to last piece">
          <AskButton advice={time.total}>
            <Measure kind="workTime" value={time.total.range[0]} /> –{' '}
            <Measure kind="workTime" value={time.total.range[1]} />
          </AskButton>
        </Headline>
        <Figure advice={time.setup} />
        <Figure advice={time.rate} label="Pace of a shift" />
        <Headline label="In a burst">
          <AskNumber label="In a burst" reasons={time.rate.reasons.slice(0, 1)}>
            <Measure kind="rate" value={time.burst} />
          </AskNumber>
        </Headline>
      </Grid>
      <Flex gap="8" mt="4" align="end" wrap="wrap">
        <ChoiceFigure advice={time.crew} />
        <ChoiceFigure advice={time.skill} />
        <Box>
          <Box fontSize="small" color="soft">
            Pace limited by
          </Box>
          <Box fontSize="lead" fontWeight="600">
            {capped
              ? 'the dryer'
              : gains.slice(0, 2).map(({ resource, gain }, i) => (
                  <span key={resource}>
                    {i > 0 && ', then '}
                    <AskNumber
                      label={`Pace limited by ${RESOURCES[resource]}`}
                      reasons={[
                        RATE.because('RATE_HOLDS', {
                          what: RESOURCES[resource],
                          gain: q('share', gain),
                        }),
                      ]}
                    >
                      {RESOURCES[resource]}
                    </AskNumber>
                  </span>
                ))}
          </Box>
        </Box>
      </Flex>
      <Table width="auto" mt="4" css={{ '& td': { paddingBlock: '2px' } }}>
        <thead>
          <tr>
            <th style={{ width: '19rem' }}>What would change it</th>
            <th className="num" style={{ width: '8rem' }}>
              Pace then
            </th>
            <th className="num" style={{ width: '8rem' }}>
              More
            </th>
          </tr>
        </thead>
        <tbody>
          {ways.map((w) => {
            const reasons = [
              RATE.because('WHAT_IF', { way: w.label, rate: q('rate', w.rate), now: q('rate', now) }),
            ]
            return (
              <tr key={w.id}>
                <td>{w.label}</td>
                <td className="num">
                  <AskNumber label={`Pace with: ${w.label}`} reasons={reasons}>
                    <Measure kind="rate" value={w.rate} />
                  </AskNumber>
                </td>
                <td className="num">
                  <AskNumber label={`More with: ${w.label}`} reasons={reasons}>
                    <b>
                      {w.rate > now * 1.005 ? '+' : ''}
                      <Measure kind="share" value={Math.max(0, w.rate / now - 1)} />
                    </b>
                  </AskNumber>
                </td>
              </tr>
            )
          })}
        </tbody>
      </Table>
    </Section>
  )
}
