import {
  converter,
  formatHex,
  modeLab65,
  modeLrgb,
  modeRgb,
  modeXyz65,
  useMode as use,
  wcagContrast,
} from 'culori/fn'

/** The colour spaces that Orvint reckons in, and no other: the library's whole set is ten times this. */
use(modeRgb)
use(modeLrgb)
use(modeXyz65)
use(modeLab65)

export const toXyz65 = converter('xyz65')
export const toLab65 = converter('lab65')
export { formatHex, wcagContrast }
