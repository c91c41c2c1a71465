import { Box, Flex } from '@chakra-ui/react'
import { format } from 'date-fns'
import { type ReactNode, useState } from 'react'
import { inUnits, settled } from '@/core/advice'
import type { ListStep } from '@/core/craft'
import { writeQuantity } from '@/core/quantity'
import { pressValues, type StatedOf } from '@/core/record'
import { Button } from '@/ui/elements'
import { useSettings } from '@/ui/settings'
import { useNow } from './Alarms'
import type { AtPress } from './atPress'
import { SetOtherwise } from './SetOtherwise'

/** A step: one target over its whole width; its number the largest thing in it. */
export function StepRow({
  step,
  hit,
  tick,
  took,
  children,
  ...press
}: AtPress & {
  readonly step: ListStep
  readonly hit: string
  readonly tick: StatedOf<'tick'> | undefined
  /** Since the step before, s. */
  readonly took: number | undefined
  readonly children?: ReactNode
}) {
  const [setting, setSetting] = useState(false)
  const { units } = useSettings()
  const { figure } = step
  const advice = typeof figure === 'object' ? figure : undefined
  const values = pressValues(press.said)
  const own = advice && values[advice.key]
  const planned = typeof figure === 'object' ? press.names.value(figure.key, settled(figure)) : figure
  const shown = advice && own !== undefined ? press.names.value(advice.key, own as string | number) : planned
  return (
    <Box borderTop="1px solid" borderColor="rule" py="1">
      <Flex align="stretch" gap="2">
        <Button
          type="button"
          role="checkbox"
          aria-checked={tick !== undefined}
          aria-label={step.name}
          onClick={() =>
            press.say(tick ? { kind: 'undo', of: tick.id } : { kind: 'tick', step: step.key, hit })
          }
          flex="1"
          minHeight="60px"
          textAlign="left"
          cursor="pointer"
          px="1"
          style={{ touchAction: 'manipulation' }}
        >
          <Flex align="center" gap="3">
            <Box
              flex="none"
              width="34px"
              height="34px"
              border="2px solid"
              borderColor="ink"
              bg={tick ? 'ink' : 'raised'}
              color="work"
              textAlign="center"
              lineHeight="1.7"
              fontWeight="750"
            >
              {tick ? '✓' : ''}
            </Box>
            <Box flex="1">
              <Box fontSize="lead" fontWeight="700">
                {step.name}
              </Box>
              <Box color="soft" lineHeight="1.2">
                {inUnits(step.good, units)}
                {tick &&
                  `. ${[
                    format(new Date(tick.at), 'HH:mm'),
                    tick.by, // Ticked in one go nobody took a time.
                    took !== undefined && took >= 1 && `took ${writeQuantity('duration', took, units)}`,
                  ]
                    .filter(Boolean)
                    .join(', ')}`}
              </Box>
            </Box>
            {shown !== undefined && (
              <Box flex="none" textAlign="right">
                <Box fontSize="big" fontWeight="750" lineHeight="1" className="num">
                  {shown}
                </Box>
                {own !== undefined && shown !== planned && <Box color="soft">planned {planned}</Box>}
              </Box>
            )}
          </Flex>
        </Button>
        {advice && (
          <Button
            type="button"
            onClick={() => setSetting(!setting)}
            aria-expanded={setting}
            aria-label={`${step.name}: set otherwise`}
            className="no-print"
            flex="none"
            width="5.4rem"
            minHeight="54px"
            border="1px solid"
            borderColor="soft"
            bg="raised"
            fontWeight="650"
            lineHeight="1.1"
            cursor="pointer"
          >
            Set otherwise
          </Button>
        )}
      </Flex>
      {step.wait !== undefined && tick && <Wait seconds={step.wait} since={Date.parse(tick.at) / 1000} />}
      {children}
      {setting && advice && <SetOtherwise advice={advice} onClose={() => setSetting(false)} {...press} />}
    </Box>
  )
}

/** How long a step still has to wait since it was ticked. */
function Wait({ seconds, since }: { readonly seconds: number; readonly since: number }) {
  const left = Math.ceil(since + seconds - useNow())
  if (left < -3600) return null
  return (
    <Box role="timer" fontSize="figure" fontWeight="750" pl="3.2rem" className="num">
      {left > 0
        ? `${Math.floor(left / 60)}:${`${left % 60}`.padStart(2, '0')} to wait`
        : 'Waited long enough'}
    </Box>
  )
}
