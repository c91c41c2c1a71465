export {
  inner,
  type Layer,
  layered,
  type Optics,
  outer,
  outerSlope,
  overGround,
  overGroundSlopes,
} from './film'
export { halftoned, printedDot } from './halftone'
export { type Hex, isHex } from './hex'
export { legibleOn, lightness } from './lightness'
export { type Curve, takeCurve } from './measured'
export { readColour } from './read'
export { reflectanceOf, reflectanceOfLab } from './reflectance'
export {
  BANDS,
  difference,
  hexOf,
  hexOfLab,
  type Lab,
  LIGHTS,
  type Light,
  labOf,
  labOfHex,
  labOfXyz,
  rootSlope,
  type Spectrum,
  WEIGHTS,
  WHITE_OF,
  xyzOf,
} from './spectrum'
