'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useCallback, useMemo } from 'react'
import { tell } from '@/core/advice'
import { AdviceChoice, AdviceNumber } from '@/ui/AdviceValue'
import { useKeys } from '@/ui/keys'
import { LapStrip } from '@/ui/LapStrip'
import { InkName } from '@/ui/parts'
import { Section, Table, TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../orderContext'
import type { PlanProps } from './planProps'

/** Stage 5: the order of printing over the press, and the stroke of every hit. */
export function SequenceStage({ plan }: PlanProps) {
  const { setPrintOrder } = useOrder()
  const move = (hitId: string, step: -1 | 1) => {
    const ids = plan.hits.map((h) => h.hit.id)
    const at = ids.indexOf(hitId)
    const other = ids[at + step]
    if (other === undefined) return
    ids[at + step] = hitId
    ids[at] = other
    setPrintOrder(ids)
  }
  const takeBack = useCallback(() => setPrintOrder([]), [setPrintOrder])
  useKeys(
    useMemo(
      () =>
        plan.sequence.byHand
          ? [{ keys: 'Backspace', label: 'Take the order by hand back', act: takeBack }]
          : [],
      [plan.sequence.byHand, takeBack],
    ),
  )
  return (
    <>
      <Section
        title="Lap strip"
        side={
          plan.sequence.byHand && (
            <Flex gap="2" fontSize="0.87rem" color="soft" align="baseline">
              order by hand
              <TextButton onClick={takeBack}>take back</TextButton>
            </Flex>
          )
        }
      >
        {plan.sequence.fits ? <LapStrip plan={plan} onMove={move} /> : <DoesNotFit plan={plan} />}
      </Section>
      <Strokes plan={plan} />
    </>
  )
}

function DoesNotFit({ plan }: PlanProps) {
  const { units } = useSettings()
  const [main, ...rest] = plan.sequence.reasons
  return (
    <Box role="alert" py="3" maxWidth="42rem">
      <SeverityMark severity="Stop" />
      <Box fontSize="1.2rem" fontWeight="650" mt="1">
        {main && tell(main, units)}
      </Box>
      <Box as="ul" listStyleType="none" color="soft" mt="1">
        {rest.map((r) => (
          <li key={tell(r, units)}>{tell(r, units)}</li>
        ))}
      </Box>
    </Box>
  )
}

function Strokes({ plan }: PlanProps) {
  return (
    <Section title="Strokes" side={plan.direction && <AdviceChoice advice={plan.direction} size="0.95rem" />}>
      <Table>
        <thead>
          <tr>
            <th>Hit</th>
            <th className="num">Strokes</th>
            <th>Blade</th>
            <th className="num">Angle</th>
            <th>Pressure</th>
            <th className="num">A stroke</th>
            <th>Flood</th>
          </tr>
        </thead>
        <tbody>
          {plan.hits.map((h) => (
            <tr key={h.hit.id}>
              <td>
                <InkName hex={h.hex} name={h.hit.name} />
              </td>
              <td className="num">
                <AdviceNumber advice={h.stroke.strokes} size="1.2rem" />
              </td>
              <td>
                <AdviceChoice advice={h.stroke.blade} />
              </td>
              <td className="num">
                <AdviceNumber advice={h.stroke.angle} />
              </td>
              <td>
                <AdviceChoice advice={h.stroke.pressure} />
              </td>
              <td className="num">
                <AdviceNumber advice={h.stroke.time} />
              </td>
              <td>
                <AdviceChoice advice={h.stroke.flood} />
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Section>
  )
}
