import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { hexOf } from '@/core/color'
import type { Batch } from '@/core/ink'
import type { Outcome } from '@/core/quantity'
import { momentOf } from '@/core/schedule'
import { localNow, sayMoment } from '@/ui/clock'
import { QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { Section, Table, TextButton } from '@/ui/Section'
import { Swatch } from '@/ui/Swatch'
import { act } from '../../../acts/act'

export type Does = (act: () => Promise<Outcome>) => Promise<boolean>

/** What becomes of an accepted tub: weighed back after the run, or thrown away. */
export function Tub({ batch, onDo }: { readonly batch: Batch; readonly onDo: Does }) {
  const [now, setNow] = useState(batch.mass)
  const change = now - batch.mass
  return (
    <Section title="In the tub">
      <Flex gap="5" align="end" wrap="wrap">
        <Box fontSize="big" fontWeight="650" lineHeight="1">
          <Measure kind="mass" value={batch.mass} />
        </Box>
        <Box width="9rem">
          <QuantityInput label="It weighs now" kind="dose" value={now} onGive={setNow} />
        </Box>
        <PushButton
          type="button"
          disabled={Math.abs(change) < 5e-5}
          onClick={() =>
            onDo(() =>
              act('moveInk', {
                batchId: batch.id,
                mass: change,
                kind: change < 0 ? 'used' : 'returned',
                note: batch.runId,
                at: localNow(),
              }),
            )
          }
        >
          Book what was used
        </PushButton>
        <TextButton
          onClick={() =>
            onDo(() =>
              act('moveInk', {
                batchId: batch.id,
                mass: -batch.mass,
                kind: 'discarded',
                note: 'thrown away',
                at: localNow(),
              }),
            )
          }
        >
          Throw it away
        </TextButton>
      </Flex>
    </Section>
  )
}

/** What was read of a batch, in turn. */
export function Drawdowns({ batch }: { readonly batch: Batch }) {
  return (
    <Section title="Drawdowns">
      <Table>
        <tbody>
          {batch.drawdowns.map((d, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: readings are only ever added
            <tr key={i}>
              <td style={{ width: '9rem' }}>{sayMoment(momentOf(d.at))}</td>
              <td style={{ width: '3rem' }}>
                <Swatch hex={hexOf(d.onWhite)} size={22} />
              </td>
              <td className="num" style={{ width: '4rem' }}>
                <Measure kind="difference" value={d.difference} />
              </td>
              <td>
                {d.verdict}
                {d.who && ` by ${d.who}`}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Section>
  )
}
