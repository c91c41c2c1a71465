import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { numberOf } from '@/core/advice'
import { PRESSURE_SCALES } from '@/core/equipment'
import type { Hold } from '@/core/stroke'
import { AdviceChoice, AdviceNumber, AskButton } from '@/ui/AdviceValue'
import { Measure } from '@/ui/Measure'
import { InkName } from '@/ui/parts'
import { Section, Table } from '@/ui/Section'
import type { PlanProps } from './planProps'

/** The stroke of every hit. */
export function Strokes({ plan, side }: PlanProps & { readonly side: ReactNode }) {
  const note = plan.press.pressure
  return (
    <Section title="Strokes" side={side}>
      <Box overflowX="auto">
        <Table>
          <thead>
            <tr>
              <th>Hit</th>
              <th className="num">Strokes</th>
              <th>Squeegee and edge</th>
              <th className="num">Angle</th>
              <th>{note ? `Pressure, ${PRESSURE_SCALES[note.scale].toLowerCase()}` : 'Pressure'}</th>
              <th className="num">A stroke</th>
              <th>Flood</th>
              <th className="num">Dry deposit</th>
            </tr>
          </thead>
          <tbody>
            {plan.hits.map((h) => (
              <tr key={h.hit.id}>
                <td>
                  <InkName hex={h.hex} name={h.hit.name} />
                </td>
                <td className="num">
                  <AdviceNumber advice={h.stroke.strokes} size="lead" />
                </td>
                <td>
                  <Flex wrap="wrap" columnGap="2">
                    <AdviceChoice advice={h.stroke.squeegee} />
                    <AdviceChoice advice={h.stroke.edge} />
                  </Flex>
                </td>
                <td className="num">
                  <AdviceNumber advice={h.stroke.angle} />
                </td>
                <td>
                  <Flex wrap="wrap" columnGap="2" align="baseline">
                    <AdviceChoice advice={h.stroke.pressure} />
                    {h.stroke.gauge && <AdviceNumber advice={h.stroke.gauge} />}
                  </Flex>
                </td>
                <td className="num">
                  <AdviceNumber advice={h.stroke.time} />
                </td>
                <td>
                  <AdviceChoice advice={h.stroke.flood} />
                </td>
                <td className="num">
                  {h.deposit && (
                    <AskButton advice={h.deposit}>
                      <Measure kind="thickness" value={numberOf(h.deposit)} />
                    </AskButton>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Box>
      {plan.hold && <Held hold={plan.hold} />}
    </Section>
  )
}

/** How closely the strokes are held while halftones run. */
function Held({ hold: { time, angle, gauge, offContact, stray } }: { readonly hold: Hold }) {
  const within = [
    ['stroke time', time],
    ['angle', angle],
    ['pressure', gauge],
    ['off-contact', offContact],
  ] as const
  return (
    <Flex gap="6" mt="3" align="baseline" wrap="wrap" role="group" aria-label="Hold from print to print">
      <b>Hold from print to print</b>
      {within.map(
        ([what, advice]) =>
          advice && (
            <span key={what}>
              {what} ± <AdviceNumber advice={advice} />
            </span>
          ),
      )}
      <span>
        so the ink laid stays within ±{' '}
        <AskButton advice={stray}>
          <Measure kind="share" value={stray.advised} />
        </AskButton>
      </span>
    </Flex>
  )
}
