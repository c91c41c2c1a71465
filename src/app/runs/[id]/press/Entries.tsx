import { Box, Flex } from '@chakra-ui/react'
import { format } from 'date-fns'
import { useState } from 'react'
import { sayEvent } from '@/core/record'
import { Section, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Tap } from '@/ui/Tap'
import type { AtPress } from './atPress'

const SHOWN = 6

/** What was said, the last first; whatever stands can be taken back, however long ago it was. */
export function Entries({ recorded: { entries }, names, say }: AtPress) {
  const { units } = useSettings()
  const [all, setAll] = useState(false)
  const shown = [...entries].reverse().slice(0, all ? undefined : SHOWN)
  return (
    <Section title="Taken down">
      {entries.length === 0 && <Box color="soft">Nothing yet. One tap on a size is one good piece.</Box>}
      {shown.map(({ event, stands, turnedBy }) => {
        const words = sayEvent(event, names, units)
        return (
          <Flex key={event.id} align="center" gap="4" borderTop="1px solid" borderColor="rule">
            <Box color="soft" className="num" width="4rem">
              {format(new Date(event.at), 'HH:mm')}
            </Box>
            <Box flex="1" textDecoration={stands ? undefined : 'line-through'}>
              {words}
              {event.by && (
                <Box as="span" color="soft">
                  {' '}
                  {event.by}
                </Box>
              )}
              {!stands && ' (taken back)'}
            </Box>
            <Box py="1">
              <Tap
                onTap={() => say({ kind: 'undo', of: turnedBy })}
                label={`${stands ? 'Take back' : 'Put back'}: ${words}`}
              >
                {stands ? 'Take back' : 'Put back'}
              </Tap>
            </Box>
          </Flex>
        )
      })}
      {entries.length > SHOWN && (
        <TextButton onClick={() => setAll(!all)}>
          {all ? 'the last only' : `all ${entries.length}`}
        </TextButton>
      )}
    </Section>
  )
}
