import { defineRoom } from '../advice'

/** What is read off films. */
export const ARTWORK = defineRoom({
  id: 'artwork',
  title: 'Films',
  model:
    'Films are read pixel by pixel: ink by its grey, halftones by what repeats, edges by the distance of each edge pixel to the other film.',
  sources:
    'Geometry, tried on films drawn with known traps, tints and rulings; levels after Otsu (1979), greys to ink after Murray and Davies.',
  pages: ['artwork'],
  rules: {
    READ_COVERAGE: {
      says: '{ink} of ink on the film, of the {print} that all films of this print fill together; greys count by their share.',
      source: 'geometry',
    },
    READ_BOX: {
      says: 'Round the ink: {width} x {height}, its middle {x} from the left and {y} from the top of the film. {ink} of ink.',
      source: 'geometry',
    },
    READ_LINE: {
      says: '{width}: the lowest tenth of the thinnest lines that run for {fine:0.001}. Indicative on busy art; none is said above {fine:0.0015}.',
      source: 'geometry',
    },
    READ_GAP: {
      says: '{width}: the lowest tenth of the thinnest gaps that run for a millimetre. Indicative on busy art.',
      source: 'geometry',
    },
    READ_RULING: {
      says: '{ruling} at {angle}, counter-clockwise as seen from the print side, on {area} of the film: what repeats in windows of it, dots from {least} to {most}. Confidence {confidence}.',
      source: 'geometry',
    },
    READ_TRAP: {
      says: '{median} on half of the shared edge, {least} to {most} on nine tenths of it, {widest} at the widest but for a hundredth; {area} are printed by both. Read to about half a pixel.',
      source: 'geometry',
    },
    READ_APART: { says: '{gap}: the nearest the two come over a millimetre of edge.', source: 'geometry' },
    READ_ROUGH: { says: 'About {gap}: far from each other, read to a millimetre.', source: 'geometry' },
    READ_OPENED: {
      says: 'With this shift {open} of {edge} of shared edge opens; gaps stay below {widest}.',
      source: 'geometry',
    },
    READ_EXPOSED: {
      says: 'With a miss of {tolerance}, {cloth} of the shared edge can show cloth and {base} can show base; {more} more trap would close it.',
      source: 'geometry',
    },
    READ_PEEPING: {
      says: 'Where a colour misses the base by {tolerance}, base shows on {base} of the edge; {more} more choke would hide it on all but a twentieth.',
      source: 'geometry',
    },
    READ_OVERLAP: {
      says: '{area} are printed by both, with no edge in common that a trap could hold.',
      source: 'geometry',
    },
    MARKS_NONE: {
      says: 'The films share no registration marks: whether they line up cannot be checked.',
      source: 'common practice',
      severity: 'Watch',
    },
    MARKS_AGREE: { says: '{count} marks, in one place on every film to {worst}.', source: 'geometry' },
    MARKS_MISSING: {
      says: '{film} lacks marks that the other films carry.',
      source: 'common practice',
      severity: 'Watch',
    },
    MARKS_SHIFTED: {
      says: '{film} is {dx} across and {dy} down from the others; its marks were used to move it back.',
      source: 'geometry',
      severity: 'Note',
    },
    MARKS_TURNED: {
      says: '{film} is turned by {angle} against the others: its marks cannot meet. Export it again.',
      source: 'geometry',
      severity: 'Stop',
    },
    MARKS_STRETCHED: {
      says: '{film} is {percent} of the size of the others: {off} off at the marks. Export it again.',
      source: 'geometry',
      severity: 'Stop',
    },
    FILM_EITHER: {
      says: '{film} is dark to its edges and carries no marks: a negative, or art that bleeds off the film? It was read as a negative; nothing is planned from it until you say.',
      source: 'geometry',
      severity: 'Watch',
    },
    FILM_OPAQUE: {
      says: '{film}: the picture is of one tone and its transparency carries it, so ink is what is not transparent.',
      source: 'common practice',
      severity: 'Note',
    },
    FILM_TRANSLUCENT: {
      says: '{film} is half transparent on {share} of it. Film prints solid or nothing: export it flat, or screened.',
      source: 'common practice',
      severity: 'Watch',
    },
    FILM_GREY: {
      says: '{film} has {area} of plain grey that was never screened. Film prints solid or nothing there: screen it. Here it counts by its share.',
      source: 'common practice',
      severity: 'Watch',
    },
    FILM_COARSE_DOTS: {
      says: '{film} is {dpi} dpi at its size: its dots of {ruling} are so few pixels wide that they know {levels} steps of tone, and fades show bands. Export it at {wanted} dpi.',
      source: 'geometry',
      severity: 'Watch',
    },
    FILM_LOW: {
      says: '{film} is {dpi} dpi at its size: its edges stand in steps of {step}. Art of 300 dpi at print size, or a drawing, has none that are seen.',
      source: 'common practice',
      severity: 'Watch',
    },
    FILM_GRAIN: {
      says: '{film} has {area} of random dots (stochastic, index, or a texture): no ruling, no moire. Where it meets others it blends by its density.',
      source: 'geometry',
      severity: 'Note',
    },
    FILM_REPEATS: {
      says: '{film}: something repeats at {ruling} and {angle}. A halftone, or a pattern of the art? Confidence {confidence}, sure from {sure} on: nothing is planned from it until you say.',
      source: 'from memory',
      severity: 'Watch',
    },
    FILM_TURNED: {
      says: '{film} lies {turn} against the others: that way round {then} of its outline meets theirs. Wrong way round is a remake: turn it here, or export it again.',
      source: 'common practice',
      severity: 'Stop',
    },
    FILM_OFF: {
      says: '{film}, on a sheet of its own size and without marks, lay {dx} across and {dy} down from the others by its outlines. It was laid on them: check it on the light table.',
      source: 'geometry',
      severity: 'Watch',
    },
    FILM_MOVED: {
      says: '{film} would meet the outlines of the others if it lay {dx} across and {dy} down from where it lies. Without marks nothing says which is meant: push it on the light table and look.',
      source: 'geometry',
      severity: 'Watch',
    },
    FILM_TILES: {
      says: '{a} and {b} are two tiles of one film: their marks meet when they lie beside each other. Join them here, or on the screen.',
      source: 'common practice',
      severity: 'Watch',
    },
    FILM_SHEET: {
      says: '{film} is on a sheet of {width} x {height}, the largest is {widest} x {highest}. Neither marks nor outlines tell where it lies: it was laid at the top left. All films of a job are the same size.',
      source: 'common practice',
      severity: 'Watch',
    },
    FADE_STOPS: {
      says: '{a} stops at {tint} in its fade into {b}, which is no more than {other} there: a line shows. Each halftone runs on to where the other colour is solid.',
      source: 'common practice',
      severity: 'Watch',
    },
    DOTS_LOST: {
      says: '{film} goes down to {tint} at {ruling}: on {mesh} dots under {limit} are narrower than the threads stand apart, and are lost. {holds} would hold them.',
      source: 'assumed',
      severity: 'Watch',
    },
    DOTS_LOST_NONE: {
      says: '{film} goes down to {tint} at {ruling}: on {mesh} dots under {limit} are narrower than the threads stand apart, and are lost. No mesh of the shop holds them: a coarser ruling, or no tint so light.',
      source: 'assumed',
      severity: 'Watch',
    },
    HOLES_LOST: {
      says: '{film} goes up to {tint} at {ruling}: on {mesh} holes over {limit} are narrower than the threads stand apart, and fill in. {holds} would keep them open.',
      source: 'assumed',
      severity: 'Watch',
    },
    HOLES_LOST_NONE: {
      says: '{film} goes up to {tint} at {ruling}: on {mesh} holes over {limit} are narrower than the threads stand apart, and fill in. No mesh of the shop keeps them open: a coarser ruling, or solid.',
      source: 'assumed',
      severity: 'Watch',
    },
    LEFT_OUT: {
      says: '{marks} marks and {labels} labels or wedges were left out: they are framed on the light table.',
      source: 'geometry',
    },
    FILM_NEGATIVE: {
      says: '{film} was read as a negative. Correct it if it is not one.',
      source: 'geometry',
      severity: 'Note',
    },
    FILM_EMPTY: { says: '{film} prints nothing.', source: 'geometry', severity: 'Watch' },
    FILM_SPECKS: {
      says: '{film} carries {count} specks and pinholes; {area} of ink that stands alone was taken for dust and counts for nothing.',
      source: 'geometry',
      severity: 'Note',
    },
    BASE_OPEN: {
      says: '{area} of colour that needs a base has none under it, beyond half a millimetre from the base.',
      source: 'geometry',
      severity: 'Watch',
    },
    BASE_PEEPS: {
      says: '{area} of base stands out beside its colours, with no error at all.',
      source: 'geometry',
      severity: 'Watch',
    },
    BASE_BARE: {
      says: '{area} of base has no colour on it: it shows as white, or should have been knocked out.',
      source: 'common practice',
      severity: 'Note',
    },
    BASE_NEEDLESS: {
      says: '{area} of base lies under colours that need none and could be knocked out.',
      source: 'common practice',
      severity: 'Note',
    },
    BASE_CHOKE: {
      says: 'The base stays {median} inside its colours on half of their edge; {least} to {most} on all but a tenth.',
      source: 'geometry',
    },
    BASE_BEYOND: {
      says: 'The base reaches {median} beyond its colours on half of their edge; {least} to {most} on all but a tenth.',
      source: 'geometry',
    },
  },
  settings: {},
})
