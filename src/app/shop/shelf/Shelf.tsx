'use client'

import { DYES, INK_TYPES, OPACITIES, SYSTEMS, WEAVES } from '@/core/order'
import { CanTable } from '@/ui/CanTable'
import { usePaint } from '@/ui/paint'
import { nextId, nextName, Rows } from '../Rows'

const OPACITY_WORDS = Object.fromEntries(Object.entries(OPACITIES).map(([k, o]) => [k, o.label]))

/** Inks and cloths that orders choose from. */
export function Shelf() {
  const { fieldWidth } = usePaint()
  return (
    <>
      <Rows
        title="Inks"
        name="inks"
        one="an ink"
        newRow={(rows) => ({
          id: nextId(rows, 'ink'),
          name: nextName(rows, 'New ink'),
          hex: '#808080',
          inkType: 'spot',
          opacity: 'ordinary',
          system: 'plastisol',
        })}
        columns={[
          { field: 'hex', label: 'Seen', as: 'color', width: fieldWidth },
          { field: 'name', label: 'Name', as: 'text' },
          { field: 'inkType', label: 'Kind', as: INK_TYPES },
          { field: 'opacity', label: 'Covers', as: OPACITY_WORDS },
          { field: 'system', label: 'Ink system', as: SYSTEMS },
        ]}
      />
      <CanTable name="inks" />
      <Rows
        title="Cloths"
        name="cloths"
        one="a cloth"
        newRow={(rows) => ({
          name: nextName(rows, 'New cloth'),
          hex: '#808080',
          weave: 'jersey',
          cotton: 1,
          polyester: 0,
          weight: 0.18,
        })}
        columns={[
          { field: 'hex', label: 'Seen', as: 'color', width: fieldWidth },
          { field: 'name', label: 'Name', as: 'text' },
          { field: 'weave', label: 'Weave', as: WEAVES },
          { field: 'cotton', label: 'Cotton', as: { kind: 'share' }, width: '7rem' },
          { field: 'polyester', label: 'Polyester', as: { kind: 'share' }, width: '7rem' },
          { field: 'weight', label: 'Weight', as: { kind: 'arealMass' }, width: '7rem' },
          { field: 'elastane', label: 'Elastane', as: { kind: 'share', optional: true }, width: '6rem' },
          { field: 'dye', label: 'Dye', as: { '': 'As its colour', ...DYES } },
        ]}
      />
    </>
  )
}
