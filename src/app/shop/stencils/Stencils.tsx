'use client'

import { Box, Grid } from '@chakra-ui/react'
import { EMULSION_KINDS, LAMP_KINDS, MEDIA, WATER } from '@/core/equipment'
import { CountField, QuantityField, SelectField } from '@/ui/fields'
import { Section } from '@/ui/Section'
import { nextId, Rows } from '../Rows'
import { MixEmulsion } from './MixEmulsion'

const ON = { '': MEDIA.film, vellum: MEDIA.vellum, paper: MEDIA.paper }

/** Where films are taped, and what stencils are made of and with. */
export function Stencils() {
  return (
    <>
      <Section title="Where every film is measured from">
        <Grid
          templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: '12rem 12rem 14rem' }}
          gap="6"
        >
          <QuantityField
            name="shop.screens.frameToPallet"
            label="Frame’s edge to pallet’s end"
            kind="length"
          />
          <QuantityField name="shop.screens.collarLine" label="Pallet’s end to collar" kind="length" />
          <SelectField name="shop.screens.medium" label="Films on" options={ON} />
        </Grid>
      </Section>
      <Section title="Tension that frames work at">
        <Grid templateColumns={{ base: 'repeat(auto-fill, minmax(7.5rem, 1fr))', lg: '12rem 12rem' }} gap="6">
          <QuantityField name="shop.screens.leastTension" label="Stretch anew under" kind="tension" />
          <QuantityField name="shop.screens.mostTension" label="Too tight over" kind="tension" />
        </Grid>
      </Section>
      <Section title="Racks">
        <Grid
          templateColumns={{ base: 'minmax(0, 12rem)', md: '12rem minmax(0, 1fr)' }}
          gap="3"
          alignItems="end"
        >
          <CountField name="shop.screens.racks" label="Screens that dry at a time" />
          <Box color="soft" pb="1">
            In the days the next are begun when a place is free. Empty: nothing waits for a place.
          </Box>
        </Grid>
      </Section>
      <Rows
        title="Emulsions"
        name="shop.screens.emulsions"
        one="an emulsion"
        newRow={(rows) => ({
          id: nextId(rows, 'e'),
          name: 'New emulsion',
          kind: 'dual',
          water: 'resistant',
          build: 5e-6,
        })}
        columns={[
          { field: 'name', label: 'Name', as: 'text' },
          { field: 'kind', label: 'Kind', as: EMULSION_KINDS },
          { field: 'water', label: 'Water', as: WATER },
          { field: 'build', label: 'EOM, each coat', as: { kind: 'thickness' }, width: '7rem' },
          { field: 'mixedOn', label: 'Mixed on', as: 'date', width: '9rem' },
          { field: 'keeps', label: 'Keeps, days', as: 'count', width: '6rem' },
        ]}
      />
      <MixEmulsion />
      <Rows
        title="Lamps"
        name="shop.screens.lamps"
        one="a lamp"
        newRow={(rows) => ({ id: nextId(rows, 'l'), name: 'New lamp', kind: 'led', distance: 0.1 })}
        columns={[
          { field: 'name', label: 'Name', as: 'text' },
          { field: 'kind', label: 'Kind', as: LAMP_KINDS },
          { field: 'distance', label: 'To the glass', as: { kind: 'length' }, width: '9rem' },
        ]}
      />
      <Rows
        title="Meshes"
        name="shop.screens.fabrics"
        one="a mesh"
        above={
          <Box color="soft" fontSize="small" mb="2" maxWidth="44rem">
            Thread and thickness are from memory until the maker’s sheet replaces them; what a mesh holds, its
            openings and its stiffness are computed from them.
          </Box>
        }
        newRow={() => ({ count: 5500, thread: 64e-6, thickness: 102e-6, dyed: 'white' })}
        columns={[
          { field: 'count', label: 'Mesh', as: { kind: 'meshCount' } },
          { field: 'thread', label: 'Thread', as: { kind: 'thickness' } },
          { field: 'thickness', label: 'Thickness', as: { kind: 'thickness' } },
          { field: 'dyed', label: 'Colour of the mesh', as: { white: 'white', yellow: 'yellow' } },
        ]}
      />
    </>
  )
}
