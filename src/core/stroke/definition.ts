import { defineRoom, words } from '../advice'
import { EDGES } from '../equipment'
import { keysOf } from '../quantity'
import { STROKE_RULES } from './strokeRules'

export const SQUEEGEES = words('60', '70', '80', '90', '60/90/60', '70/90/70')
export const PRESSURES = words('light', 'medium', 'firm')
export const FLOODS = words('even', 'hard', 'slow', 'full')
export type SqueegeeKind = keyof typeof SQUEEGEES
export type Pressure = keyof typeof PRESSURES
/** From the lightest to the firmest. */
export const PRESSURE_STEPS = keysOf(PRESSURES)
export type Flood = keyof typeof FLOODS

/** How each screen is struck. */
export const STROKE = defineRoom({
  id: 'stroke',
  title: 'Strokes',
  model: 'Squeegee, angle, pressure, speed, strokes and flood from what the screen prints.',
  sources: 'Common practice.',
  pages: ['strokes'],
  rules: STROKE_RULES,
  settings: {
    squeegee: {
      kind: 'choice',
      label: 'Squeegee, {name}',
      options: SQUEEGEES,
      follows: [
        'inkType',
        'inkSystem',
        'ruling',
        'clothColour',
        'approved',
        'where',
        'practice ink',
        'practice blade',
      ],
      after: ['base', 'press'],
    },
    edge: {
      kind: 'choice',
      label: 'Edge, {name}',
      options: EDGES,
      follows: ['inkType', 'squeegees', 'approved', 'where'],
      after: ['press'],
    },
    angle: {
      kind: 'angle',
      within: [0, Math.PI / 2],
      label: 'Angle, {name}',
      follows: ['inkType', 'inkSystem', 'ruling', 'approved', 'where', 'practice ink', 'practice highSolids'],
      after: ['press'],
    },
    pressure: {
      kind: 'choice',
      label: 'Pressure, {name}',
      options: PRESSURES,
      follows: ['inkType', 'inkSystem', 'ruling', 'approved', 'where', 'practice ink', 'practice highSolids'],
      after: ['base', 'press'],
    },
    gauge: {
      kind: ['turns', 'airPressure'],
      within: [0, 2e6],
      label: 'Pressure on the scale, {name}',
      follows: ['pressures', 'approved'],
      after: ['pressure', 'press'],
    },
    time: {
      kind: 'duration',
      within: [0.1, 60],
      label: 'Stroke time, {name}',
      follows: [
        'inkType',
        'inkSystem',
        'approved',
        'where',
        'printHeight',
        'practice ink',
        'practice highSolids',
      ],
      after: ['base', 'press'],
    },
    strokes: {
      kind: 'count',
      within: [1, 20],
      label: 'Strokes, {name}',
      follows: ['inkType', 'clothColour', 'weave', 'approved', 'where'],
      after: ['base', 'press', 'rise'],
    },
    flood: {
      kind: 'choice',
      label: 'Flood, {name}',
      options: FLOODS,
      follows: ['inkType', 'inkSystem', 'ruling', 'approved', 'where', 'practice ink'],
      after: ['press', 'build'],
    },
    squeegeeLength: {
      kind: 'length',
      within: [0.01, 3],
      label: 'Squeegee length',
      follows: ['printWidth', 'squeegees'],
    },
    direction: {
      kind: 'choice',
      label: 'Stroke direction',
      options: words('push', 'pull'),
      follows: ['practice stroke'],
      after: ['press'],
    },
    holdTime: {
      kind: 'share',
      within: [0, 1],
      label: 'Stroke time, hold within',
      follows: ['ruling', 'inkType', 'colours'],
      after: ['base'],
    },
    holdAngle: {
      kind: 'angle',
      within: [0, Math.PI / 4],
      label: 'Angle, hold within',
      follows: ['ruling', 'inkType', 'colours'],
      after: ['base'],
    },
    holdGauge: {
      kind: ['turns', 'airPressure'],
      within: [0, 2e6],
      label: 'Pressure, hold within',
      follows: ['ruling', 'inkType', 'colours', 'pressures'],
      after: ['press'],
    },
    holdOffContact: {
      kind: 'fine',
      within: [0, 0.01],
      label: 'Off-contact, hold within',
      follows: ['ruling', 'inkType', 'colours'],
      after: ['base'],
    },
    holdStray: {
      kind: 'share',
      within: [0, 1],
      label: 'Ink laid strays by',
      follows: ['ruling', 'inkType', 'colours'],
      after: ['holdTime', 'holdAngle', 'holdGauge'],
    },
  },
})
