import { Box, Flex, Grid } from '@chakra-ui/react'
import type { KeyboardEvent } from 'react'
import { message, type NumberAdvice, numberOf, type Overrides } from '@/core/advice'
import { PALLET_MATERIALS, type Press } from '@/core/equipment'
import { choiceProblem, type HeatTried, type RunPlan, type Tried } from '@/core/plan'
import { minutes, mm } from '@/core/quantity'
import { Pick, QuantityInput } from '@/ui/given'
import { PushButton } from '@/ui/PushButton'
import { Folded, TextButton } from '@/ui/Section'
import { Slider } from '@/ui/Slider'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../../orderContext'
import type { PlanProps } from '../planProps'

/** A setting that can be tried, with how far and how finely it is dragged, SI. */
interface Knob {
  readonly advice: NumberAdvice
  readonly from: number
  readonly to: number
  readonly step: number
}

function knobsOf(plan: RunPlan): readonly Knob[] {
  const dwells = plan.flashes.flatMap(({ unit, dwell }) =>
    unit ? [{ advice: dwell, from: 0.5, to: Math.max(20, Math.ceil(2 * numberOf(dwell))), step: 0.5 }] : [],
  )
  const { flashHeight, panelTemperature, time, ambient } = plan
  return [
    ...dwells,
    ...(flashHeight ? [{ advice: flashHeight, from: mm(30), to: mm(200), step: mm(5) }] : []),
    ...(panelTemperature ? [{ advice: panelTemperature, from: 473.15, to: 1_023.15, step: 5 }] : []),
    ...(time
      ? [
          {
            advice: time.rate,
            from: 0.4 * time.rate.advised,
            to: 1.6 * time.rate.advised,
            step: 1 / minutes(60),
          },
        ]
      : []),
    { advice: ambient.air, from: 273.15, to: 318.15, step: 1 },
    { advice: ambient.humidity, from: 0.1, to: 1, step: 0.05 },
  ]
}

/** Settings tried by typing or dragging: what would change is told at once, one key takes them over. */
export function WhatIf({
  plan,
  tried,
  found,
  onTry,
  onNear,
}: PlanProps & {
  readonly tried: Tried | undefined
  readonly found: HeatTried | undefined
  readonly onTry: (tried: Tried | undefined) => void
  /** Someone is about to try something. */
  readonly onNear: () => void
}) {
  const { choose } = useOrder()
  const { units } = useSettings()
  const overrides = tried?.overrides ?? {}
  const own = plan.press.palletMaterial
  const turn = (change: Overrides, board = tried?.board ?? own) => {
    const all = { ...overrides, ...change }
    const moved = knobsOf(plan).filter(({ advice: a }) => a.key in all && all[a.key] !== numberOf(a))
    const left = Object.fromEntries(moved.map(({ advice: a }) => [a.key, all[a.key] ?? 0]))
    if (board !== own) onTry({ overrides: left, board })
    else onTry(moved.length > 0 ? { overrides: left } : undefined)
  }
  const takeOver = () => {
    if (Object.keys(overrides).length > 0) choose(Object.keys(overrides), overrides)
    onTry(undefined)
  }
  const keys = (e: KeyboardEvent) => {
    if (!tried || (e.key !== 'Enter' && e.key !== 'Escape')) return
    e.preventDefault()
    e.stopPropagation()
    if (e.key === 'Enter') takeOver()
    else onTry(undefined)
  }
  return (
    <Folded
      title="What if"
      says={
        tried ? 'shown below, not taken over yet' : 'dwell, height, panel, pace, air or boards were another'
      }
    >
      <Grid
        templateColumns="repeat(auto-fill, minmax(10.5rem, 1fr))"
        gap="4"
        onKeyDown={keys}
        onFocusCapture={onNear}
        onPointerEnter={onNear}
      >
        {knobsOf(plan).map(({ advice, from, to, step }) => {
          const value = Number(overrides[advice.key] ?? numberOf(advice))
          return (
            <Box key={advice.key}>
              <QuantityInput
                label={advice.label}
                kind={advice.kind}
                value={value}
                check={(to) => choiceProblem(advice.key, to, units)}
                onGive={(to) => turn({ [advice.key]: to })}
              />
              <Slider
                label={`${advice.label}, dragged`}
                says=""
                min={from}
                max={to}
                step={step}
                value={value}
                onMove={(to) => turn({ [advice.key]: to })}
              />
            </Box>
          )
        })}
        <Pick
          label="Boards"
          value={tried?.board ?? own}
          options={Object.entries(PALLET_MATERIALS).map(([id, name]) => ({ id, name }))}
          onPick={(id) => turn({}, id as Press['palletMaterial'])}
        />
      </Grid>
      <Flex gap="4" align="baseline" mt="2" wrap="wrap" minHeight="2.4rem">
        {tried && (
          <>
            {Object.keys(overrides).length > 0 && <PushButton onClick={takeOver}>Take over</PushButton>}
            <TextButton onClick={() => onTry(undefined)}>leave as it is</TextButton>
            <Box fontSize="small" color="soft">
              {Object.keys(overrides).length > 0 && 'Enter takes over, Escape leaves. '}
              {tried.board && 'Boards are the press’s own and are changed at Shop, Presses.'}
            </Box>
          </>
        )}
      </Flex>
      <Box role="status" aria-label="What would change" mt="1" mb="3" minHeight="3rem">
        {tried && found && (
          <>
            {found.changes.map((r) => (
              <Box key={message(r, 'metric')}>{message(r, units)}</Box>
            ))}
            {found.ended.map((r) => (
              <Box key={message(r, 'metric')} color="soft">
                No longer: {message(r, units)}
              </Box>
            ))}
          </>
        )}
      </Box>
    </Folded>
  )
}
