import { OVERRIDE_RULES, type Rule } from '../advice'
import { READING_RULES } from '../artwork'
import { HEAT_CAUTIONS, HEAT_RULES } from '../heat'
import { ADDITIVE_RULES, BASE_RULES, BATCH_RULES, INK_RULES, MIX_RULES, PREDICT_RULES } from '../ink'
import { SPLIT_RULES } from '../order'
import { RATE_RULES } from '../rate'
import { BUDGET_RULES, PLACEMENT_RULES, POSITION_RULES } from '../registration'
import { SCREEN_ROOM_RULES } from '../schedule'
import {
  EXPOSURE_RULES,
  FILM_RULES,
  FRAME_RULES,
  MESH_RULES,
  OFF_CONTACT_RULES,
  STENCIL_RULES,
  TENSION_RULES,
} from '../screen'
import { SEQUENCE_RULES } from '../sequence'
import { FAULT_RULES, HOLD_RULES, STROKE_RULES } from '../stroke'
import { COST_RULES } from './costs'
import { DANCE_RULES } from './danceCard'
import { FACT_RULES } from './depends'
import { PRESS_CAUTIONS, PRESS_RULES } from './press'
import { PRINTS_RULES } from './prints'
import { WAY_RULES } from './ways'

/** A room of the trade with its rules and the computation it rests on. */
export interface Chapter {
  readonly title: string
  /** What is computed here, in a sentence or two. */
  readonly model: string
  /** Where the computation comes from. */
  readonly sources: string
  /** The page of `docs/models` that tells more. */
  readonly page: string
  readonly rules: Readonly<Record<string, Rule>>
}

/** Every rule and model of the plan, in working order: what the app lists is what it computes with. */
export const RULE_BOOK: readonly Chapter[] = [
  {
    title: 'Runs and presses',
    model:
      'An order splits by placement and cloth group; presses are tried in an order of preference, and the first on which a print order fits is advised.',
    sources: 'Common practice. Lightness after CIE 1976 L*.',
    page: 'sequence',
    rules: { ...SPLIT_RULES, ...PRESS_RULES, ...FACT_RULES },
  },
  {
    title: 'Films',
    model:
      'Films are read pixel by pixel: ink by its grey, halftones by what repeats, edges by the distance of each edge pixel to the other film.',
    sources:
      'Geometry, tried on films drawn with known traps, tints and rulings; levels after Otsu (1979), greys to ink after Murray and Davies.',
    page: 'artwork',
    rules: READING_RULES,
  },
  {
    title: 'Base and whites',
    model:
      'Ink opacity against the depth of the cloth decides base or none; schools decide how white is made bright.',
    sources: 'Common practice; limits in L* are table values, never measured.',
    page: 'ink',
    rules: BASE_RULES,
  },
  {
    title: 'Ink',
    model: 'Printed area x coverage x deposit x pieces, with waste and what stays in screen and pail.',
    sources: 'Geometry of the mesh; deposit factors are common practice.',
    page: 'ink',
    rules: INK_RULES,
  },
  {
    title: 'Mixing',
    model:
      'Parts by weight, largest first; an over-pour is put right by the smallest additions that restore the ratio; formulas are searched over every set of up to four inks.',
    sources: 'Arithmetic; K and S of a mix add by volume (published: Duncan 1940). No batch was measured.',
    page: 'mixing',
    rules: { ...BATCH_RULES, ...ADDITIVE_RULES, ...MIX_RULES },
  },
  {
    title: 'Colour on the cloth',
    model:
      'Films of ink over the cloth, absorbing and scattering in 16 bands of light, with thin spots on the tops of the fibres; the colour is told by its difference to the same films on white.',
    sources:
      'Published: Kubelka (1948), Saunderson (1942), CIEDE2000 after Sharma, Wu and Dalal (2005), smooth reflectance after Burns. Strengths of inks are tuned to common practice.',
    page: 'ink',
    rules: PREDICT_RULES,
  },
  {
    title: 'Screens',
    model:
      'Mesh from what the screen prints and its ruling, then the frames that are there; film height from the ink a mesh holds.',
    sources: 'Geometry of the mesh; limits are common practice; the mesh table is from memory.',
    page: 'screens',
    rules: { ...MESH_RULES, ...FRAME_RULES, ...OFF_CONTACT_RULES, ...FILM_RULES, ...TENSION_RULES },
  },
  {
    title: 'Stencil and light',
    model:
      'Emulsion by ink system, coats by what is printed; exposure from the nearest step test of this lamp and emulsion, by distance, thickness and mesh; where the film is taped; when each screen must be started.',
    sources:
      'Inverse square and the steps of a grey scale are published; the rest is common practice or from memory. A step test of the shop replaces it.',
    page: 'exposure',
    rules: { ...STENCIL_RULES, ...EXPOSURE_RULES, ...POSITION_RULES, ...SCREEN_ROOM_RULES },
  },
  {
    title: 'Print order',
    model:
      'Exact search over orders, flashes and stations: no pair rule broken, least cost of flashes, mud and heads.',
    sources:
      'Common practice as rules; the search is checked against trying everything and against a mixed integer program.',
    page: 'sequence',
    rules: { ...SEQUENCE_RULES, ...WAY_RULES, ...DANCE_RULES, ...PRINTS_RULES },
  },
  {
    title: 'Strokes',
    model: 'Blade, angle, pressure, speed, strokes and flood from what the screen prints.',
    sources: 'Common practice.',
    page: 'strokes',
    rules: { ...STROKE_RULES, ...FAULT_RULES, ...HOLD_RULES },
  },
  {
    title: 'Placement',
    model:
      'Distances from collar and centre line by place and size; the print against the pallet; what registration to expect.',
    sources: 'Common practice.',
    page: 'placement',
    rules: { ...PLACEMENT_RULES, ...BUDGET_RULES },
  },
  {
    title: 'Heat',
    model:
      'Flash by kind of unit, later flashes shorter on warm boards; cure by ink system and cloth; belt speed from heated length and time.',
    sources: 'Common practice; belt speed is geometry. No temperature is simulated yet.',
    page: 'heat',
    rules: { ...HEAT_RULES, ...HEAT_CAUTIONS },
  },
  {
    title: 'Time',
    model:
      'Seconds of each operation by kind of press and crew; the longest circle of waits, the slowest station, the flash or the dryer sets the pace; the same run many times over gives when it is done.',
    sources: 'Fitted to common practice; single operations are from memory.',
    page: 'time',
    rules: { ...RATE_RULES, ...COST_RULES },
  },
  {
    title: 'Own choices and safety',
    model: 'What the lead chose stands beside the advice.',
    sources: 'Local rules and the maker’s instructions come first.',
    page: 'sequence',
    rules: { ...OVERRIDE_RULES, ...PRESS_CAUTIONS },
  },
]
