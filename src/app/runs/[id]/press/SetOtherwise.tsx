import { Box, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { type Advice, settled } from '@/core/advice'
import { choiceProblem } from '@/core/plan'
import { keysOf } from '@/core/quantity'
import { SET_BECAUSE, saidOf } from '@/core/record'
import { Pick, QuantityInput } from '@/ui/given'
import { useSettings } from '@/ui/settings'
import { Tap } from '@/ui/Tap'
import type { AtPress } from './atPress'

/** What is set instead of the plan's, and by one tap why. The plan stays; the lead is offered it. */
export function SetOtherwise({
  advice,
  onClose,
  said,
  say,
}: AtPress & { readonly advice: Advice; readonly onClose: () => void }) {
  const { units } = useSettings()
  const [value, setValue] = useState<number | string>(settled(advice))
  return (
    <Box role="group" aria-label={`${advice.label}, set otherwise`} bg="raised" p="3" mt="1">
      <Flex gap="4" align="end" wrap="wrap" mb="2">
        <Box width="12rem">
          {advice.kind === 'choice' ? (
            <Pick
              label={advice.label}
              value={`${value}`}
              options={advice.choices.map((c) => ({ id: c.value, name: c.label }))}
              onPick={setValue}
            />
          ) : (
            <QuantityInput
              label={advice.label}
              kind={advice.kind}
              value={typeof value === 'number' ? value : undefined}
              onGive={setValue}
              check={(v) => choiceProblem(advice.key, v, units)}
            />
          )}
        </Box>
        <Box>Why? One tap keeps it.</Box>
      </Flex>
      <Grid templateColumns="repeat(auto-fill, minmax(9rem, 1fr))" gap="2">
        {keysOf(SET_BECAUSE).map((why) => (
          <Tap
            key={why}
            onTap={() => {
              say({ kind: 'set', setting: advice.key, value, why })
              onClose()
            }}
          >
            {SET_BECAUSE[why]}
          </Tap>
        ))}
        <Tap
          onTap={() => {
            for (const own of saidOf(said, 'set'))
              if (own.setting === advice.key) say({ kind: 'undo', of: own.id })
            onClose()
          }}
        >
          As planned
        </Tap>
      </Grid>
    </Box>
  )
}
