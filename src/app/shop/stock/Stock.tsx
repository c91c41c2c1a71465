'use client'

import { Box, Flex } from '@chakra-ui/react'
import { DRYER_HEATS, FRAME_STATES, type Frame, STANDING } from '@/core/equipment'
import { PLAN } from '@/core/plan'
import { writeQuantity } from '@/core/quantity'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { useSettings } from '@/ui/settings'
import { nextId, Rows } from '../Rows'
import { useShop } from '../shopContext'

/** Frames, squeegees and dryers. */
export function Stock() {
  const { shop } = useShop()
  return (
    <>
      <Rows
        title={`${shop.frames.length} frames`}
        name="shop.frames"
        one="a frame"
        above={<Tensions frames={shop.frames} />}
        newRow={(rows) => {
          const {
            id: _,
            standing: __,
            ...last
          } = rows.at(-1) ?? { width: 0.58, height: 0.79, mesh: 7700, tension: 2500 }
          const before = `F${Math.round(Number(last.mesh) / 100)}-`
          return { ...last, id: nextId(rows, before), state: 'clean' }
        }}
        columns={[
          { field: 'id', label: 'Number', as: 'text', width: '8rem' },
          { field: 'mesh', label: 'Mesh', as: { kind: 'meshCount' } },
          { field: 'tension', label: 'Tension', as: { kind: 'tension' } },
          { field: 'width', label: 'Width', as: { kind: 'length' } },
          { field: 'height', label: 'Height', as: { kind: 'length' } },
          { field: 'state', label: 'State', as: FRAME_STATES, width: '10rem' },
          { field: 'standing', label: 'Kept as', as: { '': 'any job', ...STANDING } },
        ]}
      />
      <Rows
        title="Squeegees"
        name="shop.squeegees"
        one="a squeegee"
        newRow={(rows) => ({ id: nextId(rows, 'B'), hardness: '70', length: 0.35, edge: 'square' })}
        columns={[
          { field: 'id', label: 'Number', as: 'text', width: '8rem' },
          { field: 'hardness', label: 'Hardness, Shore A', as: 'text' },
          { field: 'length', label: 'Length', as: { kind: 'length' } },
          { field: 'edge', label: 'Edge', as: { square: 'square', rounded: 'rounded' } },
        ]}
      />
      <Rows
        title="Dryers"
        name="shop.dryers"
        one="a dryer"
        newRow={(rows) => ({
          id: nextId(rows, 'd'),
          name: 'New dryer',
          heatedLength: 1.2,
          beltWidth: 0.6,
          heat: 'infrared',
        })}
        columns={[
          { field: 'name', label: 'Name', as: 'text' },
          { field: 'heatedLength', label: 'Heated length', as: { kind: 'length' } },
          { field: 'beltWidth', label: 'Belt width', as: { kind: 'length' } },
          { field: 'heat', label: 'Heats by', as: DRYER_HEATS },
        ]}
      />
    </>
  )
}

/** Frames by mesh; each bar is a frame, as tall as its tension, hollow when it cannot be used. */
function Tensions({ frames }: { readonly frames: readonly Frame[] }) {
  const { units } = useSettings()
  const meshes = [...new Set(frames.map((f) => f.mesh))].sort((a, b) => a - b)
  return (
    <Flex gap="7" wrap="wrap" mb="4">
      {meshes.map((mesh) => {
        const of = frames.filter((f) => f.mesh === mesh)
        const free = of.filter((f) => f.state === 'clean').length
        return (
          <Box key={mesh}>
            <Flex gap="1.5" align="end" height="30px">
              {of.map((f) => (
                <Box
                  key={f.id}
                  width="9px"
                  bg={f.state === 'clean' ? 'ink' : 'transparent'}
                  border="1px solid"
                  borderColor="ink"
                  title={`${f.id}, ${writeQuantity('tension', f.tension, units)}, ${FRAME_STATES[f.state]}`}
                  style={{ height: `${Math.min(30, f.tension / 100)}px` }}
                />
              ))}
            </Flex>
            <Box fontSize="lead" fontWeight="650">
              <Measure kind="meshCount" value={mesh} />
            </Box>
            <Box color="soft" fontSize="small">
              <AskNumber
                label={`Frames with ${writeQuantity('meshCount', mesh, units)}`}
                reasons={[PLAN.because('STOCK', { value: `${free} clean of ${of.length}` })]}
              >
                {free} clean of {of.length}
              </AskNumber>
            </Box>
          </Box>
        )
      })}
    </Flex>
  )
}
