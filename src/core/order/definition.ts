import { defineRoom } from '../advice'

/** Groups of cloth that share a set-up, and what they are called. */
export const CLOTH_GROUPS = {
  dark: 'Dark cloth',
  'in-between': 'In-between cloth',
  light: 'Light cloth',
  'dark-poly': 'Dark polyester',
  'in-between-poly': 'In-between polyester',
  'light-poly': 'Light polyester',
  apart: 'Apart from the rest',
} as const
export type ClothGroup = keyof typeof CLOTH_GROUPS

/** How orders come apart into runs. */
export const ORDER = defineRoom({
  id: 'order',
  title: 'Runs',
  model: 'An order splits by placement and cloth group.',
  sources: 'Common practice. Lightness after CIE 1976 L*.',
  pages: ['sequence'],
  rules: {
    CLOTH_GROUP: {
      says: '{cloth} is {tone} cloth (L* {L}): colours on {tone} cloth share one decision about the base.',
      source: 'common practice',
    },
    CLOTH_POLYESTER: {
      says: '{cloth} is {share} polyester: its dye bleeds when hot, so it cures apart from cotton.',
      source: 'common practice',
    },
    PLACEMENT_RUN: {
      says: '{placement} is a set-up of its own: one cloth group, one placement, one run.',
      source: 'common practice',
    },
    CLOTH_OPEN: {
      says: '{cloth} is open: ink falls through its holes and their edges break up. Bold shapes, one hit, no halftones, and a sheet of paper on the pallet for each piece.',
      source: 'from memory',
      severity: 'Watch',
    },
    CLOTH_THIN: {
      says: '{cloth} is thin, {weight}: ink comes through to the pallet. The least pressure that clears, and look at the pallet every dozen.',
      source: 'from memory',
      severity: 'Note',
    },
    CLOTH_FIBRES: {
      says: '{cloth} stands up in fibres that come through the print: two strokes, or a smoothing screen, lay them down.',
      source: 'common practice',
      severity: 'Note',
    },
    CLOTH_DYE: {
      says: 'The dye of {cloth} is known to bleed: a base that blocks it, low-cure ink, the coolest cure it takes; look at a cured print the next day.',
      source: 'common practice',
      severity: 'Watch',
    },
    CLOTH_UNDYED: {
      says: '{ink} bleaches dye, and {cloth} has none: it shows its own pigment only.',
      source: 'from memory',
      severity: 'Watch',
    },
    ART_CLOTH: {
      says: 'The cloth is to draw {parts} of this art, and {cloth} is {tone}: they are lost on it. Draw them as a colour of their own, a screen more, or keep the art for other cloth.',
      source: 'common practice',
      severity: 'Watch',
    },
    ART_CLOTH_WEAK: {
      says: 'The cloth is to draw {parts} of this art: on {cloth}, in between, they stand out less.',
      source: 'common practice',
      severity: 'Note',
    },
    KIDS_ART: {
      says: 'A second artwork for {sizes} sizes needs its own screens.',
      source: 'common practice',
    },
    SPARES: {
      says: '{pieces} pieces in {colours} colours: hold {share} ready for what is spoiled, {spares}. A spoiled size is not replaced by another.',
      source: 'common practice',
    },
    SPARES_FIRST: {
      says: '{more} of it because this job was not printed before: the first garments go until it stands.',
      source: 'assumed',
    },
  },
  settings: {
    group: {
      kind: 'choice',
      label: 'Cloth group of {name}',
      options: CLOTH_GROUPS,
      follows: ['clothColour', 'polyester'],
    },
  },
})
