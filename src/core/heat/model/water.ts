import type { Share } from '../../quantity'

/** Physical constants, SI. */
const AIR_PRESSURE = 101_325
const GAS = 8.314
const WATER_MOLE = 0.018015
/** rho cp Le^(2/3) of moist air at 60 °C, J/m3K: what the transfer of heat says of the transfer of vapour. */
const LEWIS = 950
/** Heat capacity of water, J/kgK. */
export const WATER_HEAT = 4186
/** Above this share of the air's pressure the logarithm would run away: it goes on straight. */
const STRAIGHT = 0.98

/** Vapour pressure of water over a flat surface, Pa. @param kelvin 230 to 600. Source: Buck (1981), from memory. */
export function saturation(kelvin: number): number {
  const t = kelvin - 273.15
  return 611.21 * Math.exp(((18.678 - t / 234.5) * t) / (257.14 + t))
}

/** Heat that a kilogram of water takes to become vapour, J/kg. */
export const latent = (kelvin: number): number => 2.501e6 - 2361 * (kelvin - 273.15)

/** Share of saturation over cloth that holds water. @param regain kg of water a kg of dry cotton; other fibres scaled to it */
export const activity = (regain: number): Share =>
  regain > 0 ? -Math.expm1(-1.05 * (regain / 0.075) * Math.sqrt(regain / 0.075)) : 0

/** Regain of cotton in air of a humidity, the same curve turned round. @param humidity 0 to 0.99 */
export const regainIn = (humidity: Share): number => 0.075 * (-Math.log(1 - humidity) / 1.05) ** (2 / 3)

/** What a kelvin more adds to the vapour pressure, as a share of it: the derivative of the exponent of `saturation`. */
function steeperBy(kelvin: number): number {
  const t = kelvin - 273.15
  const below = 257.14 + t
  return ((18.678 - (2 * t) / 234.5) * below - (18.678 - t / 234.5) * t) / (below * below)
}

/**
 * Water that leaves a wet surface, kg/m2s, never below 0 (Stefan flow).
 *
 * @param h heat transfer of the air, W/m2K
 * @param wet share of saturation at the surface
 * @param vapour in the air, Pa
 * @param more written: what a kelvin more adds, kg/m2sK
 */
export function evaporation(
  kelvin: number,
  h: number,
  wet: Share,
  vapour: number,
  more?: { perKelvin: number },
): number {
  const over = wet * saturation(kelvin)
  if (more) more.perKelvin = 0
  if (over <= vapour) return 0
  const top = STRAIGHT * AIR_PRESSURE
  const at = Math.min(over, top)
  const flow =
    Math.log((AIR_PRESSURE - vapour) / (AIR_PRESSURE - at)) +
    (over > top ? (over - at) / (AIR_PRESSURE - top) : 0)
  const times = ((h / LEWIS) * AIR_PRESSURE * WATER_MOLE) / (GAS * kelvin)
  if (more) more.perKelvin = times * ((over * steeperBy(kelvin)) / (AIR_PRESSURE - at) - flow / kelvin)
  return times * flow
}
