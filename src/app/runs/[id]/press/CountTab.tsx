import { Box, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { countedTwice, SPOILED_BY, type Target } from '@/core/record'
import { Tap } from '@/ui/Tap'
import type { AtPress } from './atPress'
import { Causes } from './Causes'
import { Counter } from './Counter'
import { Entries } from './Entries'
import { countId, nameOf, SizeCard } from './SizeCard'
import { SomeOf } from './SomeOf'

/** Every size as one large target; a piece that two tablets may both have counted is asked about. */
export function CountTab({ targets, ...press }: AtPress & { readonly targets: readonly Target[] }) {
  const { say } = press
  const [spoiling, setSpoiling] = useState<Target>()
  const [twice] = countedTwice(press.said)
  return (
    <>
      {twice && (
        <Box role="alert" bg="raised" borderLeft="8px solid" borderColor="ink" p="2" mb="3">
          <Box fontSize="lead" fontWeight="700" mb="2">
            Two tablets counted {twice.first.n} {twice.first.size} at the same moment. Are both meant?
          </Box>
          <Grid templateColumns="1fr 1fr" gap="2">
            <Tap onTap={() => say({ kind: 'heard', alarm: twice.id, pieces: 0 })}>Both</Tap>
            <Tap onTap={() => say({ kind: 'undo', of: twice.second.id })}>Only one</Tap>
          </Grid>
        </Box>
      )}
      {spoiling ? (
        <Causes
          label={`What spoiled it, ${nameOf(spoiling)}`}
          ask={`What spoiled the ${nameOf(spoiling)}?`}
          options={SPOILED_BY}
          back="Not spoiled"
          onCause={(cause) => {
            const { line, size } = spoiling
            if (cause) say({ kind: 'spoil', line, size, n: 1, cause })
            setSpoiling(undefined)
            requestAnimationFrame(() => document.getElementById(countId(spoiling))?.focus())
          }}
        />
      ) : (
        <Grid templateColumns="repeat(auto-fill, minmax(11rem, 1fr))" gap="3" mb="6">
          {targets.map((target) => (
            <SizeCard key={target.key} target={target} say={say} onSpoiled={() => setSpoiling(target)} />
          ))}
        </Grid>
      )}
      <SomeOf targets={targets} {...press} />
      <Entries {...press} />
      <Counter {...press} />
    </>
  )
}
