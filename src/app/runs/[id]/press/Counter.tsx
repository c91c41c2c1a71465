import { Box, Flex } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { numberOf } from '@/core/advice'
import { saidOf } from '@/core/record'
import { simulatedCounter } from '@/devices/pieceCounter'
import { Tap } from '@/ui/Tap'
import type { AtPress } from './atPress'

/** How often the counter is asked, seconds. */
const EVERY = 5

/** The counter behind the dryer beside what was counted by hand; where they differ the hand puts it right. */
export function Counter({ plan, recorded, said, say }: AtPress) {
  const [on, setOn] = useState(false)
  const pace = plan.time ? numberOf(plan.time.rate) : 0
  const counter = useRef<ReturnType<typeof simulatedCounter>>(undefined)
  const passed = saidOf(said, 'passed').reduce((sum, e) => sum + e.n, 0)
  const byHand = [...recorded.good.values(), ...recorded.spoiled.values()].reduce((a, b) => a + b, 0)
  useEffect(() => {
    if (!on) return
    counter.current ??= simulatedCounter(pace)
    const timer = setInterval(() => {
      const n = counter.current?.after(EVERY) ?? 0
      if (n > 0) say({ kind: 'passed', n })
    }, EVERY * 1000)
    return () => clearInterval(timer)
  }, [on, pace, say])
  return (
    <Flex as="section" aria-label="Counter" gap="3" align="center" wrap="wrap" mb="6">
      <Box flex="1 1 14rem">
        <b className="num">{passed}</b> by the counter behind the dryer, <b className="num">{byHand}</b> by
        hand
        {passed !== 0 && passed !== byHand && `: ${Math.abs(passed - byHand)} apart`}. It is simulated.
      </Box>
      <Box flex="none">
        <Tap chosen={on} onTap={() => setOn(!on)}>
          {on ? 'Counter runs' : 'Counter off'}
        </Tap>
      </Box>
      {passed !== byHand && passed !== 0 && (
        <Box flex="none">
          <Tap onTap={() => say({ kind: 'passed', n: byHand - passed })}>The hand is right</Tap>
        </Box>
      )}
    </Flex>
  )
}
