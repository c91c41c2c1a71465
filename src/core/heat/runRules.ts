import type { Rule } from '../advice'

/** What heat has to say along a run. */
export const RUN_RULES = {
  RUN_DWELL: {
    says: '{name}: {dwell} from garment {from} on.',
    source: 'a model',
  },
  RUN_BOARD: {
    says: 'Garment {from} is laid on boards of {boards}: every flash and every print before it warmed them.',
    source: 'a model',
  },
  RUN_READ: {
    says: 'In the middle of {name}, straight after {dwell} of flash, {film}; the cloth below it {cloth}. An infrared gun reads less a second later: it falls some 25 K in the first.',
    source: 'a model',
  },
  RUN_LATER: {
    says: 'A gun that reads the middle of {name} {time} after the flash finds {film}. It falls slower then: who cannot read at once reads truer so.',
    source: 'a model',
  },
  RUN_NEXT: {
    says: '{name} is printed on a film of {film}. Up to {safe} it is safe to print on.',
    source: 'a model',
  },
  RUN_SETTLES: {
    says: 'The boards of {press} settle at about {boards} after some {pieces} garments.',
    source: 'a model',
  },
  RUN_UNDER: {
    says: '{name}: {dwell} does not gel the corners before garment {until}: cold boards want {needed}. Flash longer at the start, or warm them: {empty}.',
    source: 'a model',
    severity: 'Watch',
  },
  RUN_UNDER_ALL: {
    says: '{name}: {dwell} does not gel the corners of any of the {pieces} garments: they want {needed}.',
    source: 'a model',
    severity: 'Watch',
  },
  RUN_OVER: {
    says: '{name}: {dwell} closes the film in the middle of the print from garment {from} on, over {limit} there: the next colour peels in the wash. Shorten it.',
    source: 'a model',
    severity: 'Watch',
  },
  RUN_NO_WINDOW: {
    says: '{name}: no dwell is right: the corners need {needed}, the middle is closed after {limit}.',
    source: 'a model',
    severity: 'Watch',
  },
  RUN_WARM_OPENS: {
    says: '{name}: once the boards are at {boards} both meet: warm them in empty flashes first.',
    source: 'a model',
  },
  RUN_HIGHER: {
    says: '{name}: with the panel at {height} both meet: {needed} to {limit}.',
    source: 'a model',
  },
  RUN_COOLER: {
    says: '{name}: with the panel {cooler} cooler both meet: {needed} to {limit}.',
    source: 'a model',
  },
  RUN_GOES: {
    says: '{name}: in two goes with {pause} between them both meet: {needed} to {limit} each.',
    source: 'a model',
  },
  RUN_SECOND: {
    says: '{name}: under two units, one stop after the other, both meet: {needed} to {limit} each.',
    source: 'a model',
  },
  RUN_SHUT: {
    says: '{name}: no height up to {height}, no cooler panel and no second go opens a dwell: the print is too large for this panel. A larger one does.',
    source: 'a model',
  },
  RUN_NEVER: {
    says: '{name}: {unit} does not dry this print: its corners do not get there in four minutes.',
    source: 'a model',
    severity: 'Stop',
  },
  CLOTH_SCORCHES: {
    says: '{where} the cloth comes to {cloth}, over {limit}: it scorches or shines.',
    source: 'common practice',
    severity: 'Watch',
  },
  CLOTH_BLEEDS: {
    says: '{where} the cloth comes to {cloth}; its polyester gives dye off from about {limit}. Look at a piece the next day.',
    source: 'common practice',
    severity: 'Watch',
  },
  SHARED_BELT: {
    says: '{dryer}, as its set points usually are, cures both between {least} and {most}: belt at {belt}. Side by side where both garments fit its belt, else in turn.',
    source: 'a model',
  },
  SHARED_ANY: {
    says: '{dryer}, as its set points usually are, cures both at up to {most}: belt at {belt}. Side by side where both garments fit its belt, else in turn.',
    source: 'a model',
  },
  SHARED_FILM: {
    says: '{job}: the film comes to {film}; it wants {wanted} and stands {limit}.',
    source: 'a model',
  },
  SHARED_APART: {
    says: '{dryer}, as its set points usually are, cannot cure both at once: {slow} wants {most} at most, {weak} is too hot under {least}. One after the other.',
    source: 'a model',
    severity: 'Watch',
  },
  SHARED_NEVER: {
    says: '{job}: no belt speed of {dryer} cures it as its set points are.',
    source: 'a model',
    severity: 'Watch',
  },
  TRY_DWELL: {
    says: '{name} is flashed {dwell}, instead of {was}.',
    source: 'a model',
  },
  TRY_FILM: {
    says: '{name} is at {film} just flashed, instead of {was}.',
    source: 'a model',
  },
  TRY_NEEDS: {
    says: '{name} needs {needed} of flash at the end of the run, instead of {was}.',
    source: 'a model',
  },
  TRY_NEXT: {
    says: '{name} meets a film of {film}, instead of {was}.',
    source: 'a model',
  },
  TRY_BOARDS: {
    says: 'The boards end at {film}, instead of {was}.',
    source: 'a model',
  },
  TRY_SAME: {
    says: 'Nothing that anyone would read changes.',
    source: 'a model',
  },
  TRY_NONE: {
    says: 'So the run cannot be printed, or nothing is flashed.',
    source: 'a model',
  },
  RUN_TACKY: {
    says: '{name} is printed on a film of up to {film}, from garment {from} on over {safe}: it is tacky. Cool longer, or slow down.',
    source: 'a model',
    severity: 'Watch',
  },
  RUN_STICKS: {
    says: '{name} is printed on a film of up to {film}, from garment {from} on over {safe}: it sticks to the screen. Cool longer, leave one more place empty, or slow down. Sticky when cool too? Then it is under-gelled.',
    source: 'a model',
    severity: 'Watch',
  },
  RUN_STANDS: {
    says: '{name}: this unit stays {stop} over each pallet, as long as that stands there, and {limit} is the most. Swing it, time it, or hang it higher.',
    source: 'a model',
    severity: 'Watch',
  },
} as const satisfies Record<string, Rule>
