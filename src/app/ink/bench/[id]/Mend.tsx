import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { BaseInk } from '@/core/equipment'
import { type Batch, type Correction, mendingFor, type Poured } from '@/core/ink'
import type { Mass } from '@/core/quantity'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { Section } from '@/ui/Section'

interface Props {
  readonly batch: Batch
  readonly rack: readonly BaseInk[]
  readonly onMend: (additions: readonly { readonly code: string; readonly mass: Mass }[]) => void
}

/** What would bring the batch to its target; additions only. */
export function Mend({ batch, rack, onMend }: Props) {
  const [found, setFound] = useState<Correction>()
  const named = (add: Poured) =>
    Object.entries(add).map(([code, mass]) => ({
      code,
      mass,
      name: rack.find((i) => i.code === code)?.name ?? code,
    }))
  if (!found)
    return (
      <PushButton type="button" onClick={() => setFound(mendingFor(batch, rack))} mb="5">
        What would mend it?
      </PushButton>
    )
  const list = named(found.add)
  return (
    <Section title="To mend it">
      {list.length === 0 ? (
        <Box>
          {found.anew
            ? 'No addition of up to three inks brings it near: make it anew.'
            : 'The reading is explained by its spread: read it again.'}
        </Box>
      ) : (
        <Flex gap="6" align="center" wrap="wrap">
          {list.map((a) => (
            <Box key={a.code}>
              <Box>add {a.name}</Box>
              <Box fontSize="figure" fontWeight="650">
                <Measure kind="dose" value={a.mass} />
              </Box>
            </Box>
          ))}
          <Box color="soft">
            then about <Measure kind="difference" value={found.difference} /> off, as the model sees it
            {found.anew && <Box>More than half the batch again: a new one is better.</Box>}
          </Box>
          <PushButton type="button" onClick={() => onMend(list)}>
            Add these
          </PushButton>
        </Flex>
      )}
    </Section>
  )
}
