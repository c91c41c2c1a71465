import { Box, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { q } from '@/core/advice'
import { writeQuantity } from '@/core/quantity'
import { missBeyond, type OnSize, onSizes, REGISTRATION, roomFor } from '@/core/registration'
import { AskNumber } from '@/ui/AskNumber'
import { Button } from '@/ui/elements'
import { Figure } from '@/ui/parts'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { useOrder } from '../../orderContext'
import type { PlanProps } from '../planProps'
import { ArtOnGarment, STEP, STRIDE } from './ArtOnGarment'
import { Garment, type Laid } from './Garment'

/** A garment laid by hand is off by so much, one standard deviation: careful and hurried, metres (assumed). */
const BY_HAND = [3e-3, 5e-3] as const
/** What is seen on a body (common practice). */
const SEEN = 10e-3

/** The print on the garment of every size of the run; the setting of each group of sizes, moved by hand or typed. */
export function OnSizes({ plan }: PlanProps) {
  const { order, choose, pictured } = useOrder()
  const { units } = useSettings()
  const { placement: print, lines } = plan.run
  const all = onSizes(print, plan.placement)
  const [wanted, setWanted] = useState<string>()
  const chosen = all.find((s) => s.size === wanted) ?? all[Math.floor(all.length / 2)]
  if (!chosen) return null
  const lies = {
    isBack: print.where === 'back' || print.where === 'backNeck',
    byHem: plan.placement.origin === 'hem',
  }
  const pallet = { width: plan.press.palletWidth * 1000, height: plan.press.palletHeight * 1000 }
  const laid = (on: OnSize): Laid => ({
    ...{ on, lies, pallet },
    hex: plan.cloth.hex,
    picture: pictured.includes(print.id)
      ? { orderId: order.id, print: print.id, based: plan.hits.some((h) => h.hit.id === 'base') }
      : undefined,
    room: roomFor(all, pallet, lies.byHem),
  })
  const count = (size: string) =>
    lines.reduce((sum, l) => sum + (l.sizes.find((s) => s.size === size)?.quantity ?? 0), 0)
  return (
    <>
      <Flex gap="8" rowGap="4" align="start" wrap="wrap">
        <ArtOnGarment
          laid={laid(chosen)}
          label={`Print on a ${chosen.piece.kind === 'body' ? 'garment' : chosen.piece.kind} of size ${chosen.size}, to scale`}
          onMove={(overrides) => choose(Object.keys(overrides), overrides)}
        />
        <Flex direction="column" gap="4" flex="1 1 14rem">
          <Groups plan={plan} />
          <ByHand />
          <Box color="soft" fontSize="small" maxWidth="24rem">
            Drag the art, or move it by the arrow keys: {writeQuantity('length', STEP, units)}, with Shift{' '}
            {writeQuantity('length', STRIDE, units)}; it jumps onto the pallet’s lines. All sizes of its group
            go with it. Screens stay where they are: garments are laid anew.
          </Box>
        </Flex>
      </Flex>
      <Grid templateColumns="repeat(auto-fill, minmax(7.2rem, 1fr))" gap="3" mt="5">
        {all.map((on) => (
          <Box key={on.size} borderTop="3px solid" borderColor={on === chosen ? 'ink' : 'rule'} pt="1">
            <Button
              type="button"
              aria-pressed={on === chosen}
              onClick={() => setWanted(on.size)}
              display="block"
              width="100%"
              textAlign="left"
            >
              <Garment laid={laid(on)} label={`Size ${on.size}`} height={120} />
              <Box as="span" fontWeight={on === chosen ? '750' : '600'}>
                {on.size}
              </Box>{' '}
              <Box as="span" color="soft" fontSize="small">
                {count(on.size)} pieces
              </Box>
            </Button>
            <Nearest on={on} />
          </Box>
        ))}
      </Grid>
    </>
  )
}

/** Garments differ by more than a millimetre. */
const whole = (metres: number) => Math.round(metres * 1000) / 1000

/** How near the art comes to a seam. */
function Nearest({ on }: { readonly on: OnSize }) {
  const { units } = useSettings()
  const least = Math.min(on.toSeam, on.toEnd)
  const side = on.piece.kind === 'body' ? 'to the seam' : 'to the side'
  const words = on.state === 'over' ? 'over the edge' : side
  return (
    <Flex align="baseline" gap="1" fontSize="small">
      {on.state !== 'clear' && <SeverityMark severity="Watch" word={false} />}
      <AskNumber label={`Room on ${on.size}`} reasons={on.reasons}>
        {writeQuantity('length', whole(on.state === 'over' ? Math.abs(least) : on.toSeam), units)} {words}
      </AskNumber>
    </Flex>
  )
}

function Groups({ plan }: PlanProps) {
  const { groups } = plan.placement
  return groups.map((g, i) => (
    <Flex key={g.group} gap="6" align="end" wrap="wrap">
      <Box>
        <Figure advice={g.down} />
        <Box color="soft" fontSize="small">
          sizes {g.sizes.join(', ')}
        </Box>
      </Box>
      {g.side && g.side.key !== groups[i - 1]?.side?.key && <Figure advice={g.side} />}
    </Flex>
  ))
}

/** How many garments that are laid by hand come out so far off that it is seen. */
function ByHand() {
  const { units } = useSettings()
  const [low, high] = BY_HAND.map((sd) => missBeyond({ xx: sd * sd, yy: sd * sd, xy: 0 }, SEEN))
  const reason = REGISTRATION.because('PLACE_HAND', {
    careful: q('length', BY_HAND[0]),
    hurried: q('length', BY_HAND[1]),
    seen: q('length', SEEN),
  })
  const share = (of: number | undefined) => writeQuantity('share', of ?? 0, units)
  return (
    <Box maxWidth="24rem">
      Laid by hand,{' '}
      <AskNumber label="Off where it is laid by hand" reasons={[reason]}>
        {share(low)} to {share(high)}
      </AskNumber>{' '}
      of the garments lie more than {writeQuantity('length', SEEN, units)} off: that is seen.
    </Box>
  )
}
