import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react'
import { quick } from './quick'

/** The whole scale of type; its last ones are read from where the bucket stands. */
export const TYPE_SCALE = {
  small: { value: '0.85rem' },
  body: { value: '1rem' },
  lead: { value: '1.15rem' },
  title: { value: '1.3rem' },
  figure: { value: '1.6rem' },
  big: { value: '2.3rem' },
  huge: { value: '3.6rem' },
  vast: { value: '6rem' },
} as const
export type TypeSize = keyof typeof TYPE_SCALE

/**
 * By day, in the dark, under a safelight. Neutral greys only: people judge ink on these screens, so nothing but inks and
 * cloths has a hue. Beside coated screens amber and deep red on black, without any blue.
 */
export const TONES = {
  surround: ['#d6d6d6', '#1a1a1a', '#000000'],
  work: ['#e6e6e6', '#222222', '#000000'],
  rail: ['#c6c6c6', '#121212', '#140500'],
  raised: ['#f1f1f1', '#2d2d2d', '#220a00'],
  ink: ['#111111', '#ececec', '#ffa000'],
  soft: ['#444444', '#b4b4b4', '#d07c00'],
  rule: ['#b2b2b2', '#414141', '#6e1c00'],
  /** Round swatches, so that white and black show on any surround. */
  ring: ['#808080', '#808080', '#a05000'],
  paper: ['#ffffff', '#ffffff', '#000000'],
  paperShade: ['#e2e2e2', '#e2e2e2', '#3a1200'],
  onPaper: ['#000000', '#000000', '#ffa000'],
} as const satisfies Readonly<Record<string, readonly [day: string, dark: string, safelight: string]>>

/** Paper is white and ink on it black, whatever the screen shows. */
const ON_PAPER = {
  surround: '#ffffff',
  work: '#ffffff',
  rail: '#ffffff',
  raised: '#ffffff',
  ink: '#000000',
  soft: '#333333',
  rule: '#999999',
} as const satisfies Partial<Record<keyof typeof TONES, string>>

const THUMBS = '@media (max-width: 1023px), (pointer: coarse)'

/** Steps of a quarter of the type's size, for gaps and sizes. */
const STEPS = Object.fromEntries(
  [0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 7, 8, 9, 10, 11, 12, 14, 16, 20, 24, 28, 32, 36, 40, 44, 48].map(
    (n) => [n, { value: `${n / 4}rem` }],
  ),
)

/** The library's own theme stays out: looks of sixty components that are not used, a fifth of what a page weighs. */
const config = defineConfig({
  preflight: true,
  cssVarsPrefix: 'chakra',
  cssVarsRoot: ':where(html)',
  conditions: { safelight: '.safelight &', coarse: '@media (pointer: coarse)' },
  globalCss: {
    html: { fontSize: '15px' },
    'html.dark': { colorScheme: 'dark' },
    'html.safelight': { colorScheme: 'dark', scrollbarColor: '#7a3200 #000000', accentColor: '#ffa000' },
    body: {
      bg: 'surround',
      color: 'ink',
      caretColor: 'ink',
      fontFamily: 'body',
      fontVariantNumeric: 'tabular-nums lining-nums',
      lineHeight: 1.35,
    },
    '*': { borderColor: 'rule' },
    '::selection': { bg: 'ink', color: 'work' },
    ':where(a, button, input, select, textarea, [tabindex]):focus-visible': {
      outline: '2px solid {colors.ink}',
      outlineOffset: '2px',
      borderRadius: '2px',
    },
    // What a thumb can hit, where there are thumbs: WCAG 2.2, 2.5.8.
    ':where(main, aside, nav) :where(button, select, a[href])': {
      [THUMBS]: { minHeight: '24px', minWidth: '24px' },
    },
    // Where a thumb works: all but numbers that only answer why, which stand in lines of text.
    ':where(button, select, input, textarea):not([data-why], [type=checkbox], [type=radio], [hidden])': {
      '@media (pointer: coarse)': { minHeight: '44px' },
    },
    ':where(main, aside, nav) :where(a[href])': { [THUMBS]: { paddingBlock: '4px' } },
    '::placeholder': { color: 'soft', opacity: '1' },
    '::file-selector-button': {
      bg: 'raised',
      color: 'ink',
      border: '1px solid',
      borderColor: 'soft',
      px: '3',
      py: '1.5',
      mr: '3',
      cursor: 'pointer',
    },
    // What the browser paints by itself under a safelight.
    '.safelight :is([type=radio], [type=checkbox])': { filter: 'url(#safelight)' },
    '.safelight textarea': { resize: 'none' },
    '.safelight ::-webkit-search-cancel-button': { display: 'none' },
    // The browser's own meters come in green; nothing but inks and cloths has a hue.
    'meter, progress': {
      appearance: 'none',
      height: '0.5rem',
      width: '9rem',
      bg: 'rule',
      verticalAlign: 'middle',
    },
    ':is(meter, progress)::-webkit-meter-bar, progress::-webkit-progress-bar': {
      bg: 'rule',
      border: 'none',
      borderRadius: '0',
    },
    'meter::-webkit-meter-optimum-value, progress::-webkit-progress-value': { bg: 'ink' },
    'progress::-moz-progress-bar, meter::-moz-meter-bar': { bg: 'ink' },
    'html:is(.light, .dark, .safelight)': {
      '@media print': Object.fromEntries(
        Object.entries(ON_PAPER).map(([name, hex]) => [`--chakra-colors-${name}`, `${hex} !important`]),
      ) as Record<`--${string}`, string>,
    },
    '.no-print': { '@media print': { display: 'none !important' } },
    'tr, li': { '@media print': { breakInside: 'avoid' } },
    'h1, h2, h3': { '@media print': { breakAfter: 'avoid' } },
    // A place that keeps the focus for what went away.
    '[tabindex="-1"]:focus': { outline: 'none' },
    dialog: { border: 'none', color: 'ink', bg: 'raised' },
    'dialog::backdrop': { background: 'rgba(0, 0, 0, 0.55)' },
  },
  theme: {
    breakpoints: { sm: '480px', md: '768px', lg: '1024px', xl: '1280px' },
    tokens: {
      spacing: STEPS,
      sizes: { ...STEPS, full: { value: '100%' } },
      radii: { full: { value: '9999px' } },
      fontSizes: TYPE_SCALE,
      fonts: {
        body: { value: "'Archivo Variable', sans-serif" },
        heading: { value: "'Archivo Variable', sans-serif" },
      },
    },
    semanticTokens: {
      colors: Object.fromEntries(
        Object.entries(TONES).map(([name, [light, dark, safelight]]) => [
          name,
          { value: { base: light, _dark: dark, _safelight: safelight } },
        ]),
      ),
      // How high what is typed into, and a quiet choice, are; for a thumb 44 px.
      sizes: {
        field: { value: { base: '2.1rem', _coarse: '44px' } },
        choice: { value: { base: '1.7rem', _coarse: '44px' } },
      },
    },
  },
})

export const system = quick(createSystem(defaultBaseConfig, config))
