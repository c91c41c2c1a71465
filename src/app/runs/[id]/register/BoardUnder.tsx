import { Box } from '@chakra-ui/react'
import { useState } from 'react'
import { boardUnder, type FilmPosition } from '@/core/registration'
import { QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { Section } from '@/ui/Section'
import { Told } from '@/ui/Told'

/** Where the art lies on the screen against where it was planned, and how far the board is slid under it. */
export function BoardUnder({
  position,
  collarTowards,
}: {
  readonly position: FilmPosition
  readonly collarTowards: boolean
}) {
  const [found, setFound] = useState<number>()
  const board = found === undefined ? undefined : boardUnder(position, found)
  // Away from the collar end is towards whoever stands at the other one.
  const way = board && board.slide > 0 !== collarTowards ? 'towards you' : 'away from you'
  return (
    <Section title="Board against art">
      <Box maxWidth="22rem">
        <QuantityInput
          label="Top mark, from the frame’s collar end"
          kind="length"
          value={found}
          onGive={setFound}
          onEmpty={() => setFound(undefined)}
        />
      </Box>
      {board ? (
        <>
          {board.slide !== 0 && (
            <Box fontSize="title" fontWeight="650" mt="2">
              Slide the board <Measure kind="length" value={Math.abs(board.slide)} /> {way}
            </Box>
          )}
          <Told reasons={[board.reason]} />
        </>
      ) : (
        <Box color="soft" mt="1">
          Planned: <Measure kind="length" value={position.topMark} />. Measure it on the screen where it lies
          otherwise.
        </Box>
      )}
    </Section>
  )
}
