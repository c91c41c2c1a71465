'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { type AirOfDay, airOfDay } from '@/core/equipment'
import { shopAir, USUAL_AMBIENT } from '@/core/heat'
import { AskNumber } from '@/ui/AskNumber'
import { AIR_DAYS } from '@/ui/airDays'
import { localNow } from '@/ui/clock'
import { QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { TextButton } from '@/ui/Section'
import { act } from './acts/act'
import { wrongIn } from './wrongIn'

/** How warm and damp the shop is today, said in one tap or typed: the flash of every run of today follows. */
export function AirToday({ said }: { readonly said: AirOfDay | undefined }) {
  const [problem, setProblem] = useState('')
  const [typing, setTyping] = useState(false)
  const now = said ?? { temperature: USUAL_AMBIENT.air, humidity: USUAL_AMBIENT.humidity }
  const why = shopAir(said, {})
  const say = async (air: Air | undefined) => {
    const wrong = air && wrongIn(airOfDay, { on: localNow().slice(0, 10), ...air })
    if (wrong) return setProblem(wrong)
    const done = await act('sayAir', air ? { air } : {})
    setProblem(done.ok ? '' : done.message)
  }
  const isNow = (air: (typeof AIR_DAYS)[keyof typeof AIR_DAYS]) =>
    air?.temperature === said?.temperature && air?.humidity === said?.humidity
  return (
    <Box role="group" aria-label="Air of the shop today" mb="3">
      <Flex columnGap="4" rowGap="1" align="baseline" wrap="wrap">
        <Box color="soft">
          Air of the shop{' '}
          <Box as="span" color="ink" fontWeight="650">
            <AskNumber label="Air today" reasons={why.air.reasons}>
              <Measure kind="temperature" value={now.temperature} />
            </AskNumber>
            ,{' '}
            <AskNumber label="Humidity today" reasons={why.humidity.reasons}>
              <Measure kind="share" value={now.humidity} />
            </AskNumber>
          </Box>
        </Box>
        {Object.entries(AIR_DAYS).map(([name, air]) => (
          <TextButton
            key={name}
            aria-pressed={isNow(air)}
            textDecoration={isNow(air) ? 'none' : 'underline'}
            fontWeight={isNow(air) ? '750' : '550'}
            onClick={() => void say(air)}
          >
            {name}
          </TextButton>
        ))}
        <TextButton aria-expanded={typing} onClick={() => setTyping(!typing)}>
          {typing ? 'as it was' : 'type it'}
        </TextButton>
      </Flex>
      {typing && (
        <TypedAir
          now={now}
          onSay={(air) => {
            setTyping(false)
            void say(air)
          }}
        />
      )}
      {problem !== '' && (
        <Box role="alert" fontWeight="650">
          {problem}
        </Box>
      )}
    </Box>
  )
}

interface Air {
  readonly temperature: number
  readonly humidity: number
}

function TypedAir({ now, onSay }: { readonly now: Air; readonly onSay: (air: Air) => void }) {
  const [air, setAir] = useState<Air>(now)
  return (
    <Flex gap="3" mt="1" maxWidth="26rem" align="end">
      <QuantityInput
        label="Air"
        kind="temperature"
        value={air.temperature}
        onGive={(temperature) => setAir({ ...air, temperature })}
      />
      <QuantityInput
        label="Humidity"
        kind="share"
        value={air.humidity}
        onGive={(humidity) => setAir({ ...air, humidity })}
      />
      <PushButton type="button" onClick={() => onSay(air)}>
        Say it
      </PushButton>
    </Flex>
  )
}
