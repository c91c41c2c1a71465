import { defineRoom } from '../advice'
import { FRAME_RULES } from './frameRules'
import { STENCIL_RULES } from './stencilRules'

/** Mesh, frames, stencils and light. */
export const SCREEN = defineRoom({
  id: 'screen',
  title: 'Screens',
  model:
    'Mesh from what the screen prints and its ruling, then the frames that are there; film height from the ink a mesh holds; emulsion by ink system, exposure from the nearest step test by distance, thickness and mesh.',
  sources:
    'Geometry of the mesh; inverse square and the steps of a grey scale are published; limits are common practice or from memory. A step test of the shop replaces it.',
  pages: ['screens', 'exposure'],
  rules: {
    MESH_EXPANDING: {
      says: 'Puff (expanding ink) wants an open mesh and a thick stencil: {low} to {high}.',
      source: 'common practice',
    },
    MESH_METALLIC: {
      says: 'Metallic, {low} to {high}: a finer mesh would sieve the flakes out, no shimmer.',
      source: 'common practice',
    },
    MESH_ONE_HIT: {
      says: 'One heavy hit that must cover alone: {low} to {high}.',
      source: 'common practice',
    },
    MESH_BASE_COARSE: {
      says: 'Base white in one strong hit, {low} to {high}: opacity and speed.',
      source: 'common practice',
    },
    MESH_BASE_FINE: {
      says: 'Thin base under a second white, {low} to {high}: softer hand.',
      source: 'common practice',
    },
    RISE_USUAL: {
      says: 'Raised as usual. Subtle takes a finer mesh and few coats; as high as it goes takes the most open mesh, the thickest stencil and more strokes, and more of it collapses if the dryer is too hot.',
      source: 'common practice',
    },
    RISE_LINE: {
      says: '{name}: its thinnest line is {line}. Under {least} it rises less than what stands round it: draw it wider, or take less height.',
      source: 'from memory',
      severity: 'Watch',
    },
    RISE_GAP: {
      says: '{name}: its narrowest gap is {gap}. Under {least} it swells shut as it rises: open it up, or take less height.',
      source: 'from memory',
      severity: 'Watch',
    },
    MESH_RISE_SUBTLE: { says: 'A subtle rise: {low} to {high}, less ink.', source: 'from memory' },
    MESH_RISE_EXTREME: {
      says: 'As high as it goes: the most open mesh, {low} to {high}, and a thick stencil.',
      source: 'common practice',
    },
    MESH_BASE_FINER: {
      says: 'House practice is a base as fine as the colours on it or finer, {low} to {high}: thin, sharp, and covering least.',
      source: "the shop's choice",
    },
    MESH_BASE_TONES: {
      says: 'The base of a halftone carries its tones: {low} to {high} and a lighter deposit, as fine as the ruling asks.',
      source: 'common practice',
    },
    MESH_LABEL: { says: 'A neck label is thin and fine: {low} to {high}.', source: 'common practice' },
    MESH_AS_TOPS: { says: 'As fine as the colours round it: at least {least}.', source: 'common practice' },
    MESH_NO_TONES: {
      says: '{name} is puff: it swells dots of {ruling} shut. Draw it as flat shapes; no finer mesh for it.',
      source: 'common practice',
      severity: 'Watch',
    },
    MESH_BASE_WATER: {
      says: 'Water-based base: coarse, {low} to {high}, or it does not cover.',
      source: 'common practice',
    },
    MESH_SPOT: { says: 'Spot colours print through {low} to {high}.', source: 'common practice' },
    MESH_HIGHLIGHT: {
      says: 'Highlight white as fine as the top colours or finer: {low} to {high}.',
      source: 'common practice',
    },
    MESH_HALFTONE: {
      says: 'Halftone tops of simulated process: {low} to {high}.',
      source: 'common practice',
    },
    MESH_PROCESS: {
      says: 'True process, {low} to {high}: fine mesh for all of it, base and highlight too.',
      source: 'common practice',
    },
    MESH_SMOOTHING: {
      says: 'The smoothing screen lays no ink; a usual spot mesh, {low} to {high}, carries it.',
      source: 'from memory',
    },
    MESH_RULING: {
      says: 'At least {factor} times the ruling of {ruling}: {least}.',
      source: 'common practice',
    },
    MESH_LINE: {
      says: 'The smallest line, {line}, wants two threads across it: at least {least}.',
      source: 'from memory',
    },
    MESH_PARTICLE: {
      says: 'Opening at least three times the particle size, {particle}: at most {most}.',
      source: 'common practice',
    },
    MESH_MOIRE: {
      says: '{mesh} under {ruling} at {angle} beats every {period}: bands can be seen in the tint. Clear of it: {clear}.',
      source: 'geometry',
      severity: 'Watch',
    },
    MESH_MOIRE_ALL: {
      says: '{mesh} under {ruling} at {angle} beats every {period}: bands can be seen in the tint. Turn the halftone instead.',
      source: 'geometry',
      severity: 'Watch',
    },
    MESH_CLEAR: {
      says: 'Clear of moire with {ruling} at {angle}: the plainest beat is {period}.',
      source: 'geometry',
    },
    MESH_WANTED: {
      says: 'A dry deposit of {wanted} is wanted from one hit; of the meshes in range this one comes nearest, {leaves}. Tuned, not measured.',
      source: 'common practice',
    },
    MESH_DEPOSIT: { says: 'Holds {held} of ink: {open} open, openings of {opening}.', source: 'published' },
    MESH_STOCK: { says: 'The nearest mesh on the frames of this shop.', source: 'the order' },
    MESH_NOT_HELD: {
      says: '{name} wants {low} to {high}; the nearest frame here has {mesh}.',
      source: 'common practice',
      severity: 'Watch',
    },
    ...FRAME_RULES,
    RULING_ROUGH: {
      says: '{ruling} on {cloth}: rough cloth holds no dots finer than about {most}. Coarsen the film.',
      source: 'from memory',
      severity: 'Watch',
    },
    ANGLES_NEAR: {
      says: '{a} and {b} stand {angle} apart: under 15° they beat, every {period} here. Turn one film.',
      source: 'geometry',
      severity: 'Watch',
    },
    ANGLES_ALIKE: {
      says: '{a} and {b} stand at the same angle: dots fall on dots or beside them, and the colour shifts with every miss. Set them 30° apart.',
      source: 'common practice',
      severity: 'Watch',
    },
    TENSION_BEST: {
      says: 'Clean frames of the wanted mesh that lie closest to each other in tension.',
      source: 'common practice',
    },
    OFF_MANUAL: { says: 'By hand with normal stencils.', source: 'common practice' },
    OFF_AUTOMATIC: { says: 'An automatic or a tight screen wants less.', source: 'common practice' },
    OFF_THIN: {
      says: 'A stencil that stands hardly over the mesh wants it very low, and a hard flood: watch for sticking and smears.',
      source: 'common practice',
    },
    OFF_STIFF: {
      says: 'House practice is {length:0.0032} for high-solids ink on an automatic, with a flatter squeegee.',
      source: "the shop's choice",
    },
    OFF_LOW: {
      says: 'As low as the stencil allows: watch for sticking and smears.',
      source: 'common practice',
    },
    OFF_FLEECE: { says: 'Thick fleece lifts the surface: more.', source: 'common practice' },
    OFF_APPROVED: {
      says: 'Approved at {press} on {on}: {words}. The usual is {usual}.',
      source: "the shop's choice",
    },
    OFF_SAME: { says: 'The same on all heads of a job.', source: 'common practice' },
    FILM_VOLUME: { says: '{mesh} holds {held} of ink: open area x thickness.', source: 'published' },
    FILM_LAID: {
      says: '60 % of it is laid, a second stroke adds a quarter; the cloth takes up a share of the first hit and water leaves. Tuned to common practice, never measured: enter yours if you know it.',
      source: 'assumed',
    },
    FILM_STRUCK: {
      says: 'These squeegee, edge, angle, pressure, time and flood settings lay {struck} of the usual. Direction is common practice, amount assumed.',
      source: 'assumed',
    },
    TENSION_LOW: {
      says: '{frame}: {tension} is under {least}: register will drift. Restretch or retire it.',
      source: 'from memory',
      severity: 'Watch',
    },
    TENSION_FALLS: {
      says: '{frame} lost {lost} since {day}: not for traps under {fine:0.00034} on a stencil burnt before.',
      source: 'from memory',
      severity: 'Watch',
    },
    TENSION_HOLDS: { says: '{frame}: {tension}, in the usual range.', source: 'from memory' },
    TENSION_MISFIT: {
      says: 'Frames that differ by {spread} but kept it since they were burnt fit each other. If one lost {spread} after burning, the edge of the print, {half} from the middle, is off by up to {off}: lost tension x 0.8 / stiffness of the mesh x distance. Stiffness is from memory, good to 40 %.',
      source: 'geometry',
    },
    ...STENCIL_RULES,
  },
  settings: {
    mesh: {
      kind: 'meshCount',
      within: [1_000, 25_000],
      label: 'Mesh, {name}',
      follows: [
        'inkType',
        'opacity',
        'clothColour',
        'weave',
        'inkSystem',
        'ruling',
        'line',
        'flakes',
        'wantedFilm',
        'frames',
        'fabrics',
        'practice baseMesh',
        'practice baseTones',
        'practice ruling',
        'practice ink',
      ],
      after: ['base', 'rise'],
    },
    rise: {
      kind: 'choice',
      label: 'Height, {name}',
      follows: ['inkType', 'colours'],
    },
    emulsion: {
      kind: 'choice',
      label: 'Emulsion, {name}',
      follows: ['inkSystem', 'emulsions', 'practice ink'],
    },
    coats: {
      kind: 'count',
      within: [1, 20],
      label: 'Coats, {name}',
      follows: ['inkType'],
      after: ['emulsion', 'rise'],
    },
    build: {
      kind: 'thickness',
      within: [0, 5e-4],
      label: 'Emulsion over mesh (EOM), {name}',
      follows: ['emulsions'],
      after: ['coats', 'emulsion'],
    },
    expose: {
      kind: 'duration',
      within: [0.1, 86_400],
      label: 'Exposure, {name}',
      follows: ['stepTests', 'lamps', 'fabrics'],
      after: ['mesh', 'coats', 'emulsion', 'lamp', 'medium'],
    },
    filmTop: {
      kind: 'length',
      within: [0, 2],
      label: 'Top edge to top mark',
      follows: ['where', 'printHeight', 'filmLine'],
      after: ['down'],
    },
    filmLeft: {
      kind: 'length',
      within: [0, 2],
      label: 'Left edge to left mark',
      follows: ['where', 'printWidth', 'frames'],
      after: ['aside'],
    },
    medium: { kind: 'choice', label: 'Films on', follows: ['medium'] },
    lamp: { kind: 'choice', label: 'Lamp', follows: ['lamps'] },
    offContact: {
      kind: 'length',
      within: [0, 0.05],
      label: 'Off-contact',
      follows: [
        'weave',
        'approved',
        'inkSystem',
        'practice ink',
        'practice offContact',
        'practice highSolids',
      ],
      after: ['press', 'build'],
    },
    deposit: {
      kind: 'thickness',
      within: [0, 1e-3],
      label: 'Dry deposit, {name}',
      repeats: true,
      shownWith: 'ink',
      follows: ['inkSystem', 'fabrics', 'practice ink'],
      after: ['mesh', 'strokes', 'squeegee', 'edge', 'angle', 'pressure', 'gauge', 'time', 'flood', 'base'],
    },
  },
})
