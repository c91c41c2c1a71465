import { Box, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { foretold, ownScreens, type SheetHeat } from '@/core/plan'
import { keysOf, writeQuantity } from '@/core/quantity'
import { CHANGED, READINGS, type Reading, saidOf, TACK } from '@/core/record'
import { simulatedGun } from '@/devices/temperatureGun'
import { QuantityInput } from '@/ui/given'
import { Section } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Tap } from '@/ui/Tap'
import type { AtPress, RunFrame } from './atPress'
import { ScreenBroke } from './ScreenBroke'

const BY_GUN: readonly Reading[] = ['film', 'pallet', 'belt']

/** What is looked at on the way: to the touch, by gun and gauge; what was changed; who is there; heads that went down. */
export function ReadingsTab({
  heat,
  frames,
  ...press
}: AtPress & { readonly heat: readonly SheetHeat[]; readonly frames: readonly RunFrame[] }) {
  const { plan, said, say } = press
  const { units } = useSettings()
  const flashed = plan.flashes.filter((f) => f.unit).map((f) => f.dwell.key.replace(/^\w+\./, ''))
  const [hit, setHit] = useState(flashed[0] ?? '')
  const expected = foretold(plan, heat)
  const readings = saidOf(said, 'read')
  return (
    <>
      {flashed.length > 1 && (
        <Flex gap="2" wrap="wrap" mb="3" role="group" aria-label="Flash after">
          {flashed.map((id) => (
            <Tap key={id} chosen={id === hit} onTap={() => setHit(id)}>
              after {press.names.hit(id)}
            </Tap>
          ))}
        </Flex>
      )}
      {flashed.length > 0 && (
        <Section title={`To the touch, just flashed: ${press.names.hit(hit)}`}>
          <Grid templateColumns="repeat(auto-fit, minmax(8rem, 1fr))" gap="2" py="2">
            {keysOf(TACK).map((word) => (
              <Tap key={word} tall onTap={() => say({ kind: 'tack', word, hit })}>
                {TACK[word]}
              </Tap>
            ))}
          </Grid>
        </Section>
      )}
      <Section title="Readings">
        {keysOf(READINGS)
          .filter((what) => what !== 'colour')
          .map((what) => {
            const last = readings.findLast((r) => r.what === what)
            const wanted = expected[what]
            return (
              <ReadingRow
                key={`${what} ${last?.id ?? ''}`}
                what={what}
                last={last && writeQuantity(READINGS[what].kind, last.value, units)}
                wanted={wanted === undefined ? undefined : writeQuantity(READINGS[what].kind, wanted, units)}
                onRead={(value) => say({ kind: 'read', what, value, hit: what === 'film' ? hit : '' })}
                byGun={
                  BY_GUN.includes(what) && wanted !== undefined
                    ? async () => (await simulatedGun(() => wanted, readings.length + 1).read()).temperature
                    : undefined
                }
              />
            )
          })}
      </Section>
      <Section title="Changed on the way">
        <Flex gap="2" wrap="wrap" py="2">
          {keysOf(CHANGED).map((part) => (
            <Tap key={part} onTap={() => say({ kind: 'changed', part, hit: '' })}>
              {CHANGED[part]}
            </Tap>
          ))}
        </Flex>
      </Section>
      <ScreenBroke frames={frames} {...press} />
      <Section title="Ink added, a good load">
        <Flex gap="2" wrap="wrap" py="2">
          {ownScreens(plan.hits).map((h) => (
            <Tap key={h.hit.id} onTap={() => say({ kind: 'ink', hit: h.hit.id, mass: 0 })}>
              {h.hit.name}
            </Tap>
          ))}
        </Flex>
      </Section>
      <Section title="At the press">
        <Flex gap="2" wrap="wrap" py="2" role="group" aria-label="How many work here">
          {[1, 2, 3].map((people) => (
            <Tap
              key={people}
              chosen={saidOf(said, 'crew').at(-1)?.people === people}
              onTap={() => say({ kind: 'crew', people })}
            >
              {people === 1 ? '1 person' : `${people} people`}
            </Tap>
          ))}
        </Flex>
      </Section>
      <HeadDown {...press} />
    </>
  )
}

function ReadingRow({
  what,
  last,
  wanted,
  onRead,
  byGun,
}: {
  readonly what: Reading
  readonly last: string | undefined
  readonly wanted: string | undefined
  readonly onRead: (value: number) => void
  readonly byGun: (() => Promise<number>) | undefined
}) {
  const { name, kind, between } = READINGS[what]
  const [value, setValue] = useState<number>()
  return (
    <Flex gap="3" align="end" py="1" borderTop="1px solid" borderColor="rule" wrap="wrap">
      <Box width="17rem">
        <QuantityInput
          label={wanted ? `${name}, expected ${wanted}` : name}
          kind={kind}
          value={value}
          onGive={setValue}
          onEmpty={() => setValue(undefined)}
          check={(v) => (v < between[0] || v > between[1] ? 'No such reading is believed.' : undefined)}
        />
      </Box>
      <Box flex="1" fontSize="figure" fontWeight="750" className="num">
        {last ?? ''}
      </Box>
      {value !== undefined && (
        <Box flex="none">
          <Tap label={`Take ${name} down`} onTap={() => onRead(value)}>
            Take down
          </Tap>
        </Box>
      )}
      {byGun && (
        <Box flex="none">
          <Tap label={`${name} by the gun`} onTap={() => void byGun().then(onRead)}>
            Gun
          </Tap>
        </Box>
      )}
    </Flex>
  )
}

/** A head that went out of service: told to the lead, whose shop then plans without it. */
function HeadDown({ plan, said, say }: AtPress) {
  const heads = [...new Set(plan.hits.flatMap((h) => h.head ?? []))]
  const down = saidOf(said, 'down').map((e) => e.head)
  if (heads.length === 0) return null
  return (
    <Section title="A head is out of service">
      <Flex gap="2" wrap="wrap" py="2">
        {heads.map((head) => (
          <Tap
            key={head}
            chosen={down.includes(head)}
            onTap={() => {
              const is = said.findLast((e) => e.kind === 'down' && e.head === head)
              say(is ? { kind: 'undo', of: is.id } : { kind: 'down', head })
            }}
          >
            Head {head}
          </Tap>
        ))}
      </Flex>
      {down.length > 0 && (
        <Box>
          The lead reads it at the order’s last stage, plans the rest without it in one tap, and releases
          that.
        </Box>
      )}
    </Section>
  )
}
