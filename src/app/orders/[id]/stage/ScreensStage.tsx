'use client'

import { Grid } from '@chakra-ui/react'
import { AdviceNumber } from '@/ui/AdviceValue'
import { FactMeasure } from '@/ui/AskNumber'
import { useDesk } from '@/ui/desk'
import { Figure, Headline, InkName } from '@/ui/parts'
import { Section, Table, TextButton } from '@/ui/Section'
import type { PlanProps } from './planProps'

/** Stage 3: a screen for every colour. */
export function ScreensStage({ plan }: PlanProps) {
  const { ask } = useDesk()
  const screens = plan.hits.filter((h) => h.sameScreenAs === '')
  return (
    <>
      <Grid templateColumns="repeat(3, max-content)" columnGap="12" mb="5">
        <Figure advice={plan.offContact} />
        <Figure advice={plan.bladeLength} />
        <Headline label="Print">
          <FactMeasure label="Width" kind="length" value={plan.run.placement.width} rule="ART" /> ×{' '}
          <FactMeasure label="Height" kind="length" value={plan.run.placement.height} rule="ART" />
        </Headline>
      </Grid>
      <Section title={`${screens.length} ${screens.length === 1 ? 'screen' : 'screens'}, in print order`}>
        <Table>
          <thead>
            <tr>
              <th>Screen</th>
              <th className="num">Mesh</th>
              <th>Frame</th>
              <th className="num">Tension</th>
              <th className="num">Ruling</th>
              <th className="num">Dry film</th>
            </tr>
          </thead>
          <tbody>
            {screens.map((h) => {
              const ink = plan.run.placement.inks.find((i) => i.id === h.hit.id)
              return (
                <tr key={h.hit.id}>
                  <td>
                    <InkName hex={h.hex} name={h.hit.name} />
                  </td>
                  <td className="num">
                    <AdviceNumber advice={h.mesh} size="1.35rem" />
                  </td>
                  <td>
                    <TextButton
                      px="0"
                      onClick={() =>
                        ask({ kind: 'event', label: `Frame, ${h.hit.name}`, reasons: plan.frames })
                      }
                    >
                      {h.frame ? h.frame.id : <strong>none left</strong>}
                    </TextButton>
                  </td>
                  <td className="num">
                    {h.frame && (
                      <FactMeasure
                        label={`Tension of ${h.frame.id}`}
                        kind="tension"
                        value={h.frame.tension}
                        rule="STOCK"
                      />
                    )}
                  </td>
                  <td className="num">
                    {ink?.ruling === undefined ? (
                      'flat'
                    ) : (
                      <FactMeasure
                        label={`Ruling of ${h.hit.name}`}
                        kind="ruling"
                        value={ink.ruling}
                        rule="ART"
                      />
                    )}
                  </td>
                  <td className="num">{h.film ? <AdviceNumber advice={h.film} /> : 'none'}</td>
                </tr>
              )
            })}
          </tbody>
        </Table>
      </Section>
    </>
  )
}
