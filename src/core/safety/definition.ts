import { defineRoom } from '../advice'

const WHO = {
  sheet: 'The data sheet decides.',
  code: 'Local code decides.',
  maker: 'Maker and local rules decide.',
  trades: 'Licensed trades only, to local code.',
} as const

const caution = (says: string, who: keyof typeof WHO) => ({
  says: `${says} ${WHO[who]}`,
  source: 'common practice' as const,
})

/** What can hurt someone, where the work is. Nothing is certified here: each line ends with who decides. */
export const SAFETY = defineRoom({
  id: 'safety',
  title: 'Cautions',
  model: 'What can hurt someone, said where the work is. No limit of safety is computed or certified.',
  sources: 'Common practice; data sheets, local code and licensed trades decide.',
  pages: ['heat'],
  rules: {
    EXPOSURE_UV: caution(
      'UV of exposure lamps and of the sun harms eyes and skin: close the cover, never look in, wear gloves.',
      'maker',
    ),
    EXPOSURE_LAMP: caution(
      'A work lamp gets hot enough to burn skin and set paper alight: let it cool, leave it never alone.',
      'maker',
    ),
    ROOM_SENSITISER: caution(
      'Sensitisers harm skin, and those with dichromate are toxic: gloves and goggles, an eye wash in reach.',
      'sheet',
    ),
    ROOM_STRIPPER: caution(
      'Stripper and degreaser burn eyes and skin: gloves and goggles, never mix them.',
      'sheet',
    ),
    ROOM_WASHER: caution(
      'A pressure washer cuts skin and eyes: goggles, hands off the jet, its water away from plugs and lamps.',
      'maker',
    ),
    ROOM_DRAIN: caution('No emulsion, ink, solvent or sensitiser down the drain.', 'code'),
    ROOM_LIFTING: caution('Wet stacks of frames are heavy: carry few, lift from the knees.', 'code'),
    INK_SKIN: caution(
      'Gloves at inks, solvents and catalysts; wash skin with soap, never with solvent.',
      'sheet',
    ),
    INK_WASTE: caution('Waste ink and wipes go into closed containers, never into drain or bin.', 'code'),
    INK_LABEL: caution('Every tub carries its name, its date and the hazard line of what is in it.', 'sheet'),
    PRESS_AUTOMATIC: caution(
      'The carousel strikes and pinches: lock out and bleed the air before reaching in; one person starts it and says so.',
      'maker',
    ),
    PRESS_MANUAL: caution(
      'Arms and pallets of a manual carousel pinch too: fingers away from the stops, say when you turn.',
      'maker',
    ),
    PRESS_SPRAY: caution(
      'Adhesive spray burns and its mist harms lungs: air, no flame, heat off before the can is used.',
      'sheet',
    ),
    PRESS_HOT: caution(
      'Pallets can pass 60 °C (140 °F) after many laps and burn skin: use a tool or gloves.',
      'maker',
    ),
    PRESS_HEAVY: caution(
      'Heavy pallets: never index faster than the press allows for their weight.',
      'maker',
    ),
    PRESS_STROKES: caution(
      'Hundreds of strokes an hour strain wrist, shoulder and back: push rather than pull, change over each hour.',
      'code',
    ),
    PRESS_FLOOD: caution(
      'Raise flood bars before a flash moves in: one that presses the mesh towards a hot panel burns it.',
      'maker',
    ),
    HEAT_SKIN: caution(
      'Flash panels, dryer mouths and pallets burn skin. Never leave a running flash or panel unattended.',
      'maker',
    ),
    HEAT_FIRE: caution(
      'Lint and a garment left under heat catch fire: clean the dryer, keep an extinguisher in reach.',
      'maker',
    ),
    HEAT_FUMES: caution('Curing gives off vapour: ducted exhaust.', 'sheet'),
    HEAT_LOAD: caution(
      'Dryer and flashes together must stay under what their circuits carry; gas and mains are fixed by others.',
      'trades',
    ),
    ORDER_CHILDREN: caution(
      'Children’s wear and restricted substances bind the seller: ask for the ink’s declarations.',
      'code',
    ),
    ORDER_LABEL: caution(
      'A printed neck label may replace one that the law requires: fibre, care, origin.',
      'code',
    ),
    ORDER_WASH: caution('Under-cured ink sheds: wash-test every new ink and cloth before the run.', 'sheet'),
  },
  settings: {},
})

type CautionId = keyof typeof SAFETY.rules & string

/** Cautions by the place where the work is. */
export const CAUTIONS = {
  order: ['ORDER_CHILDREN', 'ORDER_LABEL', 'ORDER_WASH'],
  exposure: ['EXPOSURE_UV', 'EXPOSURE_LAMP'],
  screenRoom: ['ROOM_SENSITISER', 'ROOM_STRIPPER', 'ROOM_WASHER', 'ROOM_DRAIN', 'ROOM_LIFTING'],
  ink: ['INK_SKIN', 'INK_WASTE', 'INK_LABEL'],
  automatic: ['PRESS_AUTOMATIC', 'PRESS_SPRAY', 'PRESS_HOT', 'PRESS_HEAVY', 'PRESS_FLOOD'],
  byHand: ['PRESS_MANUAL', 'PRESS_SPRAY', 'PRESS_HOT', 'PRESS_STROKES'],
  flash: ['HEAT_SKIN', 'HEAT_LOAD'],
  dryer: ['HEAT_FIRE', 'HEAT_FUMES'],
} as const satisfies Readonly<Record<string, readonly CautionId[]>>

export type CautionPlace = keyof typeof CAUTIONS
