import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Frame, ScreenRoom } from '@/core/equipment'
import { parseQuantity, writeQuantity } from '@/core/quantity'
import { readingDoubt } from '@/core/screen'
import { Button, Input } from '@/ui/elements'
import { useSettings } from '@/ui/settings'

/** Today's reading: typed in any unit, kept with Enter. */
export function NewReading({
  frame,
  room,
  onLog,
}: {
  readonly frame: Frame
  readonly room: ScreenRoom
  readonly onLog: (frame: Frame, tension: number) => void
}) {
  const { units } = useSettings()
  const [text, setText] = useState('')
  const [wrong, setWrong] = useState('')
  /** An unusual reading that was asked about: kept when it is entered again. */
  const [asked, setAsked] = useState<number>()
  const keep = () => {
    if (text.trim() === '') return
    const read = parseQuantity('tension', text, units)
    if (!read.ok) return setWrong(read.message)
    const doubt = readingDoubt(read.value, room)
    const [low, high] = doubt?.between.map((x) => writeQuantity('tension', x, units)) ?? []
    if (doubt && !doubt.possible) return setWrong(`Between ${low} and ${high}, please.`)
    if (doubt && asked !== read.value) {
      setAsked(read.value)
      return setWrong(`${low} to ${high} is usual. Keep it again if it is so.`)
    }
    onLog(frame, read.value)
    setText('')
    setWrong('')
  }
  return (
    <Box position="relative">
      <Flex gap="1">
        <Input
          aria-label={`New reading of ${frame.id}`}
          aria-invalid={wrong !== ''}
          value={text}
          onChange={(e) => {
            setText(e.target.value)
            setWrong('')
          }}
          onKeyDown={(e) => {
            if (e.key !== 'Enter') return
            e.preventDefault()
            keep()
          }}
          width="5.5rem"
          bg="raised"
          px="1.5"
          py="1"
          borderBottom="1px solid"
          borderColor="soft"
        />
        <Button
          type="button"
          onClick={keep}
          aria-label={`Keep the reading of ${frame.id}`}
          border="1px solid"
          borderColor="ink"
          px="2"
          cursor="pointer"
        >
          Keep
        </Button>
      </Flex>
      {wrong && (
        <Box role="alert" fontSize="small" fontWeight="650">
          {wrong}
        </Box>
      )}
    </Box>
  )
}
