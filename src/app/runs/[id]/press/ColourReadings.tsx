import { Box, Flex } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import { difference, labOf, labOfHex, reflectanceOf } from '@/core/color'
import { ownScreens } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { saidOf } from '@/core/record'
import { simulatedReader } from '@/devices/reader'
import { InkName } from '@/ui/parts'
import { Section } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Tap } from '@/ui/Tap'
import type { AtPress } from './atPress'

/** Every colour against what it should be, by the reader. */
export function ColourReadings({ plan, said, say }: AtPress) {
  const { units } = useSettings()
  const [reading, setReading] = useState('')
  const readings = saidOf(said, 'read').filter((r) => r.what === 'colour')
  const screens = ownScreens(plan.hits).filter((h) => h.hit.role !== 'smoothing')
  const readers = useMemo(
    () => new Map(screens.map((h, i) => [h.hit.id, simulatedReader(() => reflectanceOf(h.hex), i + 1)])),
    [screens],
  )
  const read = async (hit: string, target: string) => {
    setReading(hit)
    const curve = await readers.get(hit)?.read()
    if (curve)
      say({ kind: 'read', what: 'colour', value: difference(labOf(curve.values), labOfHex(target)), hit })
    setReading('')
  }
  return (
    <Section title="Colour against the target, by the simulated reader">
      {screens.map((h) => {
        const last = readings.findLast((r) => r.hit === h.hit.id)
        return (
          <Flex key={h.hit.id} gap="4" align="center" py="1" borderTop="1px solid" borderColor="rule">
            <Box flex="1">
              <InkName hex={h.hex} name={h.hit.name} />
            </Box>
            <Box fontSize="figure" fontWeight="750" className="num">
              {last ? writeQuantity('difference', last.value, units) : '–'}
            </Box>
            <Box flex="none">
              <Tap onTap={() => void read(h.hit.id, h.hex)} label={`Read ${h.hit.name}`}>
                {reading === h.hit.id ? 'Reading …' : 'Read'}
              </Tap>
            </Box>
          </Flex>
        )
      })}
    </Section>
  )
}
