'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { SCHOOLS, type School } from '@/core/advice'
import { FRAME_STATES, PRESS_KINDS, type Press, type Frame as ScreenFrame, type Shop } from '@/core/equipment'
import { CHARACTERS, OPACITIES, SYSTEMS, WEAVES } from '@/core/order'
import type { ShopAndShelf } from '@/store/shop'
import { Measure } from '@/ui/Measure'
import { PageTitle } from '@/ui/parts'
import { Section, Table } from '@/ui/Section'
import { Swatch } from '@/ui/Swatch'
import { Frame } from '../Frame'

/** What the shop has and how it works: to read. */
export function ShopView({ shelf }: { readonly shelf: ShopAndShelf }) {
  const { shop, inks, cloths } = shelf
  return (
    <Frame shopName={shop.name}>
      <PageTitle mb="3">{shop.name || 'No shop set up yet'}</PageTitle>
      {shop.presses.length === 0 ? (
        <Box maxWidth="34rem" fontSize="1.1rem">
          This data folder holds no presses yet, so runs cannot be planned. See a filled shop with npm run
          demo.
        </Box>
      ) : (
        <>
          <Section title="Presses">
            {shop.presses.map((p) => (
              <PressRow key={p.id} press={p} shop={shop} />
            ))}
          </Section>
          <Grid templateColumns="1fr 1fr" gap="8">
            <Section title={`${shop.frames.length} frames`}>
              <Frames frames={shop.frames} />
            </Section>
            <div>
              <Section title="Dryers">
                <Table>
                  <tbody>
                    {shop.dryers.map((d) => (
                      <tr key={d.id}>
                        <td>{d.name}</td>
                        <td className="num">
                          <Measure kind="length" value={d.heatedLength} /> heated
                        </td>
                        <td className="num">
                          <Measure kind="length" value={d.beltWidth} /> belt
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </Table>
              </Section>
              <Section title="Blades">
                <Blades shop={shop} />
              </Section>
            </div>
          </Grid>
          <Section title="How this shop works">
            <Grid templateColumns="17rem 1fr" columnGap="4" rowGap="1">
              {(Object.keys(SCHOOLS) as School[]).map((s) => (
                <Box key={s} display="contents">
                  <Box color="soft">{SCHOOLS[s].question}</Box>
                  <Box>{(SCHOOLS[s].options as Readonly<Record<string, string>>)[shop.method[s]]}</Box>
                </Box>
              ))}
            </Grid>
          </Section>
          <Grid templateColumns="1fr 1fr" gap="8">
            <Section title="Inks">
              {inks.map((i) => (
                <Shelf
                  key={i.id}
                  hex={i.hex}
                  name={i.name}
                  words={[
                    CHARACTERS[i.character as keyof typeof CHARACTERS],
                    OPACITIES[i.opacity as keyof typeof OPACITIES].label,
                    SYSTEMS[i.system as keyof typeof SYSTEMS],
                  ].join(', ')}
                />
              ))}
            </Section>
            <Section title="Cloths">
              {cloths.map((c) => (
                <Shelf
                  key={c.name}
                  hex={c.hex}
                  name={c.name}
                  words={`${WEAVES[c.weave]}, ${Math.round(c.cotton * 100)} % cotton`}
                  weight={c.weight}
                />
              ))}
            </Section>
          </Grid>
        </>
      )}
    </Frame>
  )
}

function Shelf({
  hex,
  name,
  words,
  weight,
}: {
  readonly hex: string
  readonly name: string
  readonly words: string
  readonly weight?: number
}) {
  return (
    <Flex gap="3" py="1" borderBottom="1px solid" borderColor="rule" align="center">
      <Swatch hex={hex} size={18} />
      <Box fontWeight="550" width="9rem">
        {name}
      </Box>
      <Box color="soft" fontSize="0.9rem">
        {words}
        {weight !== undefined && (
          <>
            , <Measure kind="arealMass" value={weight} />
          </>
        )}
      </Box>
    </Flex>
  )
}

/** A press in words and as its row of places: heads, down heads, where a flash may stand. */
function PressRow({ press, shop }: { readonly press: Press; readonly shop: Shop }) {
  const flashes = shop.flashes.filter((f) => f.pressId === press.id)
  const size =
    press.kind === 'manual'
      ? `${press.heads} heads, ${press.pallets} pallets`
      : press.kind === 'single'
        ? `${press.heads} heads`
        : press.kind === 'bench'
          ? 'one hinge'
          : `${press.stations.length} stations`
  return (
    <Grid
      templateColumns="10rem 1fr 15rem"
      gap="4"
      py="2"
      borderBottom="1px solid"
      borderColor="rule"
      alignItems="center"
    >
      <Box>
        <Box fontWeight="650">{press.name}</Box>
        <Box color="soft" fontSize="0.87rem">
          {PRESS_KINDS[press.kind]}, {size}
        </Box>
      </Box>
      <Heads press={press} />
      <Box fontSize="0.9rem">
        <Box>
          pallet <Measure kind="length" value={press.palletWidth} /> ×{' '}
          <Measure kind="length" value={press.palletHeight} />, {press.board}
        </Box>
        <Box color="soft">
          {flashes.length === 0 ? 'no flash' : `flash: ${flashes.map((f) => f.name).join(', ')}`}
        </Box>
      </Box>
    </Grid>
  )
}

function Heads({ press }: { readonly press: Press }) {
  const heads =
    press.kind === 'automatic'
      ? press.stations.map((s) => ({ number: s.number, down: !s.usable }))
      : Array.from({ length: press.kind === 'bench' ? 1 : press.heads }, (_, i) => ({
          number: i + 1,
          down: false,
        }))
  return (
    <Flex gap="1">
      {heads.map((h) => (
        <Flex
          key={h.number}
          direction="column"
          align="center"
          justify="center"
          width="2.6rem"
          height="2.6rem"
          bg={h.down ? 'transparent' : 'raised'}
          border="1px solid"
          borderStyle={h.down ? 'dashed' : 'solid'}
          borderColor="soft"
          lineHeight="1.05"
        >
          <Box fontWeight="650">{h.number}</Box>
          {h.down && <Box fontSize="0.75rem">down</Box>}
        </Flex>
      ))}
    </Flex>
  )
}

/** Frames by mesh; each bar is a frame, as tall as its tension. */
function Frames({ frames }: { readonly frames: readonly ScreenFrame[] }) {
  const meshes = [...new Set(frames.map((f) => f.mesh))]
  return (
    <Table>
      <tbody>
        {meshes.map((mesh) => {
          const of = frames.filter((f) => f.mesh === mesh)
          return (
            <tr key={mesh}>
              <td>
                <Box fontSize="1.15rem" fontWeight="650">
                  <Measure kind="meshCount" value={mesh} />
                </Box>
              </td>
              <td>
                <Flex gap="2.5" align="end" wrap="wrap">
                  {of.map((f) => (
                    <Box key={f.id} textAlign="center" fontSize="0.8rem" lineHeight="1.15">
                      <Box
                        mx="auto"
                        width="14px"
                        bg={f.state === 'clean' ? 'ink' : 'transparent'}
                        border="1px solid"
                        borderColor="ink"
                        style={{ height: `${f.tension / 100}px` }}
                      />
                      {f.tension / 100}
                    </Box>
                  ))}
                </Flex>
                {of
                  .filter((f) => f.state !== 'clean')
                  .map((f) => (
                    <Box key={f.id} color="soft" fontSize="0.85rem">
                      {f.id} {FRAME_STATES[f.state]}
                    </Box>
                  ))}
              </td>
            </tr>
          )
        })}
      </tbody>
    </Table>
  )
}

function Blades({ shop }: { readonly shop: Shop }) {
  const kinds = [...new Set(shop.blades.map((b) => b.hardness))]
  return (
    <Table>
      <tbody>
        {kinds.map((hardness) => (
          <tr key={hardness}>
            <td>
              {hardness}{' '}
              <Box as="span" color="soft" fontSize="0.85rem">
                Shore A
              </Box>
            </td>
            <td>
              {shop.blades
                .filter((b) => b.hardness === hardness)
                .map((b, i) => (
                  <span key={b.id}>
                    {i > 0 && ', '}
                    <Measure kind="length" value={b.length} />
                  </span>
                ))}
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  )
}
