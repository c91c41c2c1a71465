import { Box, Flex } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { message } from '@/core/advice'
import { type Alarm, type AlarmFacts, alarmsOf, rings } from '@/core/record'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { Tap } from '@/ui/Tap'
import type { AtPress } from './atPress'

/** How often time is looked at, ms. */
const EVERY = 1000

export function useNow(): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), EVERY)
    return () => clearInterval(timer)
  }, [])
  return now / 1000
}

/** Pieces through, good and spoiled. */
const throughOf = (press: AtPress): number =>
  press.said.reduce((sum, e) => sum + (e.kind === 'count' || e.kind === 'spoil' ? e.n : 0), 0)

/** How far off something is: "in 12", "in 4 min", "now", "3 late". */
export function awayWords({ left, counts }: Alarm): string {
  const n = counts === 'pieces' ? Math.abs(left) : Math.floor(Math.abs(left) / 60)
  const unit = counts === 'pieces' ? (n === 1 ? 'piece' : 'pieces') : 'min'
  if (left > 0) return counts === 'seconds' && n === 0 ? 'within a minute' : `in ${n} ${unit}`
  return n === 0 ? 'now' : `since ${n} ${unit}`
}

/** What rings: loud, until it is seen to. What comes next stands small beside it. */
export function Alarms({ facts, ...press }: AtPress & { readonly facts: AlarmFacts }) {
  const { units } = useSettings()
  const alarms = alarmsOf(facts, press.said, useNow())
  const ringing = alarms.filter((a) => rings(a, press.said))
  const next = alarms.find((a) => a.left > 0)
  const heard = (alarm: Alarm) =>
    press.say({ kind: 'heard', alarm: alarm.id, pieces: Math.max(0, throughOf(press)) })
  return (
    <Box mb="3">
      {ringing.map((alarm) => (
        <Flex
          key={alarm.id}
          role="alert"
          align="center"
          gap="3"
          bg="raised"
          borderLeft="8px solid"
          borderColor="ink"
          p="2"
          mb="2"
        >
          <SeverityMark severity="Watch" word={false} />
          <Box flex="1">
            <Box fontSize="title" fontWeight="750" lineHeight="1.15">
              {alarm.name} {awayWords(alarm)}
            </Box>
            {alarm.reasons.map((r) => (
              <Box key={r.rule}>{message(r, units)}</Box>
            ))}
          </Box>
          <Box flex="none">
            <Tap onTap={() => heard(alarm)} label={`Seen to: ${alarm.name}`}>
              Seen to
            </Tap>
          </Box>
        </Flex>
      ))}
      {next && (
        <Box color="soft">
          Next: {next.name.toLowerCase()} {awayWords(next)}
        </Box>
      )}
    </Box>
  )
}
