'use client'

import { Box, Flex } from '@chakra-ui/react'
import { message } from '@/core/advice'
import { type CureJob, dryerDesk } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { sayDay } from '@/ui/day'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { Section, Table } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Filling } from '../../Filling'
import { useShop } from '../shopContext'

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
        <Tunnel key={d.id} name={d.name} lines={dryerDesk(cures, d.id)} />
      ))}
      {later > 0 && (
        <Box color="soft" pt="2">
          {later} {later === 1 ? 'order' : 'orders'} due later.
        </Box>
      )}
    </Section>
  )
}

function Tunnel({ name, lines }: { readonly name: string; readonly lines: ReturnType<typeof dryerDesk> }) {
  const { units } = useSettings()
  return (
    <Box mb="5">
      <Flex gap="3" align="baseline" mb="1">
        <Box fontSize="lead" fontWeight="650">
          {name}
        </Box>
        {lines.length === 0 && <Box color="soft">Nothing planned.</Box>}
      </Flex>
      {lines.length > 0 && (
        <Table>
          <thead>
            <tr>
              <th>Due</th>
              <th>Job</th>
              <th className="num">Pieces</th>
              <th>Ink</th>
              <th className="num">Film</th>
              <th className="num">Belt</th>
              <th>Before it</th>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ job, change }) => (
              <tr key={job.runId}>
                <td>{sayDay(job.due)}</td>
                <td>
                  <Link href={`/orders/${job.orderId}/heat?run=${job.runId}`} textDecoration="underline">
                    {job.words}
                  </Link>
                  <Box color="soft" fontSize="small">
                    {job.runId}
                  </Box>
                </td>
                <td className="num">{job.pieces}</td>
                <td>{job.inks}</td>
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
                <td>{change.map((r) => message(r, units)).join(' ')}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </Box>
  )
}
