import { Box } from '@chakra-ui/react'
import { hexOfLab } from '@/core/color'
import type { BaseInk } from '@/core/equipment'
import { type BenchPart, colourOfCharacterisation } from '@/core/ink'
import type { Mass } from '@/core/quantity'
import { Measure } from '@/ui/Measure'
import { usePaint } from '@/ui/paint'

interface Props {
  /** In the order in which they are poured. */
  readonly parts: readonly BenchPart[]
  readonly rack: readonly BaseInk[]
  /** kg that the tub is to hold in the end. */
  readonly wanted: Mass
  /** The part that is next, and kg of it that the scale shows already. */
  readonly next: BenchPart | undefined
  readonly poured: Mass
}

/** Levels in shares of the height of the tub: where each layer of ink begins and ends. */
function layersOf(parts: readonly BenchPart[], full: Mass) {
  let level = 0
  return parts
    .filter((p) => p.have > 0)
    .map((p) => {
      const from = level
      level += p.have / full
      return { code: p.code, from, to: level }
    })
}

/** The tub, tall enough to be read from where the cans stand: what is in it, what comes next, how full it is to be. */
export function TubGauge({ parts, rack, wanted, next, poured }: Props) {
  const { background } = usePaint()
  const there = parts.reduce((sum, p) => sum + p.have, 0)
  const coming = next?.left ?? 0
  const full = Math.max(wanted, there + Math.max(coming, poured)) * 1.02
  const hexOf = (code: string) => {
    const ink = rack.find((i) => i.code === code)
    return ink ? hexOfLab(colourOfCharacterisation(ink.characterisation)) : '#808080'
  }
  const level = (mass: Mass) => `${(100 * mass) / full}%`
  return (
    <Box
      display="grid"
      gridTemplateColumns="5.5rem minmax(0, 1fr)"
      columnGap="3"
      height={{ base: '15rem', lg: 'calc(100vh - 9rem)' }}
      maxHeight="44rem"
      role="img"
      aria-label="How full the tub is"
    >
      <Box position="relative" border="3px solid" borderTop="none" borderColor="ink">
        {layersOf(parts, full).map((l) => (
          <Box
            key={l.code}
            position="absolute"
            left="0"
            right="0"
            bottom={`${100 * l.from}%`}
            height={`${100 * (l.to - l.from)}%`}
            style={{ background: background(hexOf(l.code)) }}
          />
        ))}
        {next && (
          <>
            <Box
              position="absolute"
              left="0"
              right="0"
              bottom={level(there)}
              height={level(coming)}
              border="3px dashed"
              borderColor="ink"
            />
            <Box
              position="absolute"
              left="0"
              right="0"
              bottom={level(there)}
              height={level(poured)}
              style={{ background: background(hexOf(next.code)) }}
            />
          </>
        )}
        <Box
          position="absolute"
          left="-3px"
          right="-10px"
          bottom={level(wanted)}
          borderTop="4px solid"
          borderColor="ink"
        />
      </Box>
      <Box display="flex" flexDirection="column" justifyContent="space-between" lineHeight="1.05">
        <Figure label="to be" mass={wanted} />
        {next && coming > 0 && <Figure label="next" mass={coming} sign="+" large />}
        <Figure label="in the tub" mass={there} />
      </Box>
    </Box>
  )
}

function Figure({
  label,
  mass,
  sign = '',
  large = false,
}: {
  readonly label: string
  readonly mass: Mass
  readonly sign?: string
  readonly large?: boolean
}) {
  return (
    <Box>
      <Box color="soft">{label}</Box>
      <Box fontSize={large ? 'huge' : 'big'} fontWeight="700" whiteSpace="nowrap">
        {sign}
        <Measure kind={large ? 'dose' : 'mass'} value={mass} />
      </Box>
    </Box>
  )
}
