import type { Rule } from '../advice'

/** What is said of frames: which are taken, of what size, where films lie on them, and how tight they are. */
export const FRAME_RULES = {
  FRAMES_SHORT: {
    says: '{need} screens at {mesh} are wanted and {have} clean frames have it: too few.',
    source: 'geometry',
    severity: 'Stop',
  },
  FRAME_SMALL: {
    says: 'A print of {width} x {height} leaves less than {margin} to the frame: the mesh does not give evenly.',
    source: 'common practice',
    severity: 'Watch',
  },
  MEDIUM: {
    says: 'What films of this shop are printed on. Clear film holds most.',
    source: "the shop's choice",
  },
  FRAME_SIZE: {
    says: 'Frames of {width} x {height}: the smallest of the free ones that hold the print with {margin} round it, all screens alike.',
    source: 'common practice',
  },
  FRAME_SIZES: {
    says: 'No size of frame has all the meshes free: {sizes} sizes in one job. Off-contact, pins and film positions differ between them.',
    source: 'common practice',
    severity: 'Watch',
  },
  FRAME_PRESS: {
    says: '{press} takes frames up to {width} x {height}, and none that is free and fits it holds this print.',
    source: 'geometry',
    severity: 'Stop',
  },
  POSITION_PUT: {
    says: '{label}: put on at {chosen}, told {advised}. The next films follow it, and the print lies {off} {way}: move the pallet, or load, by as much.',
    source: 'geometry',
    severity: 'Note',
  },
  FRAME_HELD: {
    says: '{frames} with {mesh} {carry} stencils of other jobs: {jobs}.',
    source: 'the order',
    severity: 'Note',
  },
  FRAME_GIVEN: {
    says: 'Frames with {mesh} are taken by jobs that print earlier: {jobs}.',
    source: 'the order',
    severity: 'Watch',
  },
  FRAME_CARRIES: {
    says: '{frame} already carries {name} of this print: use it again.',
    source: 'the order',
  },
  GANG_SCREEN: {
    says: '{count} together on one screen, {gap} between them: room for tape over what is not printed, and for the squeegee to end.',
    source: 'common practice',
  },
  GANG_FILM: {
    says: '{count} together on one sheet, {gap} between them: room for marks and a cut. Some may lie turned.',
    source: 'common practice',
  },
  GANG_LEFT: {
    says: '{names}: no room for it here. Take a larger frame or sheet, or another one.',
    source: 'geometry',
    severity: 'Watch',
  },
  FRAME_STANDING: {
    says: '{frame} is the {name} of the shop, kept from job to job: nothing to coat or expose. Look that it is clean before it prints.',
    source: "the shop's choice",
  },
  FRAME_OLD: {
    says: 'An old stencil of {name} is on {frame}: {words}. Same art? Print from it.',
    source: 'the order',
    severity: 'Note',
  },
  TENSION_SPREAD: {
    says: 'The frames differ by {spread} in tension: over {tension:300} they register badly against each other.',
    source: 'from memory',
    severity: 'Watch',
  },
  FRAME_SLACK: {
    says: '{frame} is slack: {tension}, under the {least} that frames work at here. It registers badly; stretch it anew or take another.',
    source: 'from memory',
    severity: 'Watch',
  },
  FRAME_SLACK_FAR: {
    says: '{frame} is far too slack: {tension} where {least} is the least. It smears and registers nowhere.',
    source: 'from memory',
    severity: 'Stop',
  },
  FRAME_TIGHT: {
    says: '{frame} reads {tension}, over the {most} that frames work at here: read it again; it may tear.',
    source: 'from memory',
    severity: 'Watch',
  },
} as const satisfies Record<string, Rule>
