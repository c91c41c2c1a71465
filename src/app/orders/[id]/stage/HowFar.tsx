import { Box, Flex, Grid } from '@chakra-ui/react'
import { Check } from 'lucide-react'
import { useState } from 'react'
import { isReady, ORDER_STATES, type OrderState, PROGRESS, type Progress } from '@/core/order'
import { Day } from '@/ui/day'
import { Button } from '@/ui/elements'
import { act } from '../../../acts/act'
import { useOrder } from '../orderContext'

/** As the days go: what is waited for stands before the press. */
const SHOWN: readonly Progress[] = [
  'asked',
  'open',
  'garments',
  'art',
  'printing',
  'printed',
  'packed',
  'done',
]
const IN_TURN = Object.keys(ORDER_STATES) as OrderState[]

/** How far the order is, each step said, and taken back, by one tap, with its day. */
export function HowFar() {
  const { order, state, said } = useOrder()
  const [problem, setProblem] = useState('')
  const reached = (mark: Progress) =>
    isReady(mark) ? said[mark] !== undefined : IN_TURN.indexOf(mark) <= IN_TURN.indexOf(state)
  /** Only the last step, and what stands beside them, is taken back; an earlier one is gone back to. */
  const mark = async (which: Progress) => {
    const is = !(isReady(which) ? reached(which) : which === state)
    const done = await act('markOrder', { id: order.id, mark: which, is })
    setProblem(done.ok ? '' : done.message)
  }
  return (
    <Box mb="5">
      <Grid
        as="ol"
        listStyleType="none"
        role="list"
        aria-label="How far the order is"
        templateColumns={{ base: 'repeat(4, minmax(0, 1fr))', lg: 'repeat(8, minmax(0, 1fr))' }}
        rowGap="1"
      >
        {SHOWN.map((which) => {
          const is = reached(which)
          const at = said[which]
          const now = which === state
          return (
            <Box as="li" key={which} minWidth="0">
              <Button
                type="button"
                width="100%"
                minHeight="44px"
                px="1"
                py="1"
                textAlign="left"
                cursor="pointer"
                aria-pressed={is}
                aria-current={now ? 'step' : undefined}
                bg={now ? 'work' : 'transparent'}
                borderTop={is ? '3px solid' : '1px solid'}
                borderColor={is ? 'ink' : 'rule'}
                onClick={() => void mark(which)}
              >
                <Flex
                  as="span"
                  gap="1"
                  align="center"
                  fontWeight={now ? '750' : is ? '600' : '400'}
                  fontStretch="82%"
                  lineHeight="1.2"
                >
                  {is && <Check size={14} aria-hidden="true" />}
                  {PROGRESS[which]}
                </Flex>
                <Box as="span" display="block" fontSize="small" color="soft" minHeight="1.2em">
                  {at ? <Day at={at} as="d MMM" /> : ''}
                </Box>
              </Button>
            </Box>
          )
        })}
      </Grid>
      {problem && <Box role="alert">{problem}</Box>}
    </Box>
  )
}
