'use client'

import { Box, Flex } from '@chakra-ui/react'
import { message, type Reason } from '@/core/advice'
import { type CureJob, dryerDesk } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { Day } from '@/ui/day'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { Section, Table } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Filling } from '../../Filling'
import { useShop } from '../shopContext'
import { TwoAtOnce } from './TwoAtOnce'

interface Props {
  readonly cures: readonly CureJob[]
  /** Orders whose plans are being renewed. */
  readonly planning: number
  /** Open orders due later, which are not in it. */
  readonly later: number
}

/** What goes through each tunnel next, in the order in which least changes. */
export function DryerDesk({ cures, planning, later }: Props) {
  const { shop } = useShop()
  return (
    <Section title="What goes through the tunnels" side={<Filling planning={planning} />}>
      {shop.dryers.map((d) => (
        <Tunnel key={d.id} id={d.id} name={d.name} lines={dryerDesk(cures, d.id)} />
      ))}
      {later > 0 && (
        <Box color="soft" pt="2">
          {later} {later === 1 ? 'order' : 'orders'} due later.
        </Box>
      )}
    </Section>
  )
}

/** Narrow pages say when it is due and what changes under the job. */
const MIDDLE = { base: 'none', md: 'table-cell' } as const
const WIDE = { base: 'none', lg: 'table-cell' } as const

function Tunnel({
  id,
  name,
  lines,
}: {
  readonly id: string
  readonly name: string
  readonly lines: ReturnType<typeof dryerDesk>
}) {
  const { units } = useSettings()
  const said = (change: readonly Reason[]) => change.map((r) => message(r, units)).join(' ')
  return (
    <Box mb="5">
      <Flex gap="3" align="baseline" mb="1">
        <Box fontSize="lead" fontWeight="650">
          {name}
        </Box>
        {lines.length === 0 && <Box color="soft">Nothing planned.</Box>}
      </Flex>
      {lines.length > 0 && (
        <Table minWidth="0">
          <thead>
            <tr>
              <Box as="th" display={MIDDLE}>
                Due
              </Box>
              <th>Job</th>
              <Box as="th" className="num" display={WIDE}>
                Pieces
              </Box>
              <Box as="th" display={WIDE}>
                Ink
              </Box>
              <th className="num">Film</th>
              <th className="num">Belt</th>
              <Box as="th" display={WIDE}>
                Before it
              </Box>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ job, change }) => (
              <tr key={job.runId}>
                <Box as="td" display={MIDDLE}>
                  <Day at={job.due} as="d MMM" />
                </Box>
                <td>
                  <Box maxWidth={{ base: '9.5rem', md: '14rem', lg: 'none' }}>
                    <Link href={`/orders/${job.orderId}/heat?run=${job.runId}`} textDecoration="underline">
                      {job.words}
                    </Link>
                    <Box color="soft" fontSize="small">
                      <Box as="span" display={{ base: 'inline', md: 'none' }}>
                        <Day at={job.due} as="d MMM" />{' '}
                      </Box>
                      {job.runId}
                    </Box>
                    <Box display={{ base: 'block', lg: 'none' }} fontSize="small">
                      {said(change)}
                    </Box>
                  </Box>
                </td>
                <Box as="td" className="num" display={WIDE}>
                  {job.pieces}
                </Box>
                <Box as="td" display={WIDE}>
                  {job.inks}
                </Box>
                <td className="num">
                  <Box as="span" fontSize="lead" fontWeight="650">
                    <AskNumber label={`Film of ${job.runId}`} reasons={job.reasons}>
                      <Measure kind="temperature" value={job.film} />
                    </AskNumber>
                  </Box>
                </td>
                <td className="num">
                  <Box as="span" fontSize="lead" fontWeight="650">
                    <AskNumber label={`Belt of ${job.runId}`} reasons={job.reasons}>
                      <Measure kind="beltSpeed" value={job.belt} />
                    </AskNumber>
                  </Box>
                </td>
                <Box as="td" display={WIDE}>
                  {said(change)}
                </Box>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {lines.length > 1 && (
        <Box mt="3">
          <TwoAtOnce dryerId={id} jobs={lines.map((l) => l.job)} />
        </Box>
      )}
    </Box>
  )
}
