import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Promised } from '@/core/days'
import { AskNumber } from '@/ui/AskNumber'
import { useSayDay } from '@/ui/day'
import { TextButton } from '@/ui/Section'
import { wrongIn } from '../../../acts/wrong'
import { clockWords, differenceWords } from '../../../days/said'
import { useOrder } from '../orderContext'

const said = (x: number) => new Date(x * 1000).toISOString().slice(0, 16)

/** By when the order can be promised among all that is planned; asked when it is wanted. */
export function PromiseOf() {
  const { order } = useOrder()
  const sayDay = useSayDay()
  const [found, setFound] = useState<Promised | 'asking'>()
  const [wrong, setWrong] = useState('')
  const ask = async () => {
    setWrong('')
    setFound('asking')
    const answer = await fetch(`/api/orders/${order.id}/promise`).catch(() => undefined)
    if (answer?.ok) return setFound((await answer.json()) as Promised)
    setFound(undefined)
    setWrong(answer ? (await wrongIn(answer)).join(' ') : 'Orvint does not answer: try again.')
  }
  return (
    <Box mb="4">
      <Flex gap="4" align="baseline" wrap="wrap">
        <TextButton onClick={() => void ask()}>When can it be promised?</TextButton>
        {found === 'asking' && <Box color="soft">Trying the days …</Box>}
        {wrong && <Box role="alert">{wrong}</Box>}
      </Flex>
      {found !== undefined && found !== 'asking' && (
        <Box role="status" aria-label="Promise" bg="raised" px="3" py="2" mt="2">
          <Box fontSize="figure" fontWeight="700" lineHeight="1.2">
            <AskNumber label="Promise" reasons={found.why}>
              {sayDay(found.day, 'EEEE d MMMM')}
            </AskNumber>
          </Box>
          <Box>
            Printed by {sayDay(said(found.likely), 'EEE d MMM, HH:mm')} in eight of ten cases; planned, with
            some room, by {clockWords(found.planned, found.likely)}.
          </Box>
          {differenceWords(found.difference, found.planned).map((line) => (
            <Box key={line}>{line}</Box>
          ))}
          {found.sooner && (
            <Box mt="1.5" borderTop="1px solid" borderColor="rule" pt="1.5">
              <b>
                {sayDay(order.due, 'EEEE d MMMM')}, as asked:{' '}
                {found.sooner.isPossible ? 'can be had' : 'cannot be had, whatever is moved'}.
              </b>
              {found.sooner.isPossible &&
                differenceWords(found.sooner.difference, found.planned).map((line) => (
                  <Box key={line}>{line}</Box>
                ))}
            </Box>
          )}
        </Box>
      )}
    </Box>
  )
}
