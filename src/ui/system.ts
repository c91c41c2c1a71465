import { createSystem, defaultConfig, defineConfig } from '@chakra-ui/react'

/** Neutral greys only: people judge ink on these screens, so nothing but inks and cloths has a hue. */
const grey = (light: string, dark: string) => ({ value: { base: light, _dark: dark } })

const config = defineConfig({
  globalCss: {
    html: { fontSize: '15px', colorPalette: 'gray' },
    body: {
      bg: 'surround',
      color: 'ink',
      fontFamily: 'body',
      fontVariantNumeric: 'tabular-nums lining-nums',
      lineHeight: 1.35,
    },
    '*': { borderColor: 'rule' },
    ':where(a, button, input, select, textarea, [tabindex]):focus-visible': {
      outline: '2px solid {colors.ink}',
      outlineOffset: '2px',
      borderRadius: '2px',
    },
  },
  theme: {
    tokens: {
      fonts: {
        body: { value: "'Archivo Variable', sans-serif" },
        heading: { value: "'Archivo Variable', sans-serif" },
      },
    },
    semanticTokens: {
      colors: {
        surround: grey('#d6d6d6', '#1a1a1a'),
        work: grey('#e6e6e6', '#222222'),
        rail: grey('#c6c6c6', '#121212'),
        raised: grey('#f1f1f1', '#2d2d2d'),
        ink: grey('#111111', '#ececec'),
        soft: grey('#444444', '#b4b4b4'),
        rule: grey('#b2b2b2', '#414141'),
        paper: { value: '#ffffff' },
      },
    },
  },
})

export const system = createSystem(defaultConfig, config)
