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
    KIDS_ART: {
      says: 'A second artwork for {sizes} sizes needs its own screens.',
      source: 'common practice',
    },
    SPARES: {
      says: '{pieces} pieces in {colours} colours: hold {share} ready for what is spoiled, {spares}. A spoiled size is not replaced by another.',
      source: 'common practice',
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
