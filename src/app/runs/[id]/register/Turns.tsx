import { Box, Flex } from '@chakra-ui/react'
import { type Aid, turnSaid } from '@/core/registration'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { sayTurns } from './sayTurns'

/** Each knob with its turns, and what will be left. */
export function Turns({ aid, moves }: { readonly aid: Aid; readonly moves: number }) {
  const left = aid.reasons.filter((r) => r.rule === 'AID_LEFT')
  return (
    <Flex columnGap="8" rowGap="3" wrap="wrap" mb="3">
      {aid.correction.turns.map((t) => (
        <Headline key={t.knob.name} label={`${t.knob.name} knob`}>
          <AskNumber label={`Turns of the ${t.knob.name} knob`} reasons={[turnSaid(t, moves)]}>
            {sayTurns(t.turns)}
          </AskNumber>
          {t.moves.length > 1 && (
            <Box fontSize="small" fontWeight="400">
              {t.moves.map(sayTurns).join(', then ')}
            </Box>
          )}
        </Headline>
      ))}
      {aid.correction.turns.some((t) => t.moves.length > 1) && (
        <Box fontSize="small" maxWidth="14rem" order="1">
          Past the mark and up to it again: the play stays taken up.
        </Box>
      )}
      <Headline label="Will be left">
        <AskNumber label="Will be left" reasons={left}>
          <Measure kind="fine" value={aid.left} />
        </AskNumber>
      </Headline>
    </Flex>
  )
}
