import Qty from 'js-quantities'
import { describe, expect, it } from 'vitest'
import { KINDS, type Kind } from './kinds'
import { parseQuantity } from './text'

/** Our unit, by kind and symbol, as the reference library (js-quantities) writes it, and the SI unit of the kind there. */
const THEIRS: Readonly<
  Partial<Record<Kind, { readonly si: string; readonly units: Readonly<Record<string, string>> }>>
> = {
  length: { si: 'm', units: { mm: 'mm', in: 'in', cm: 'cm', m: 'm', ft: 'ft' } },
  fine: { si: 'm', units: { mm: 'mm', in: 'in', µm: 'um' } },
  area: { si: 'm^2', units: { 'cm²': 'cm^2', 'in²': 'in^2' } },
  mass: { si: 'kg', units: { g: 'g', oz: 'oz', kg: 'kg', lb: 'lb' } },
  arealMass: { si: 'kg/m^2', units: { 'g/m²': 'g/m^2', 'oz/yd²': 'oz/yd^2' } },
  duration: { si: 's', units: { s: 's', min: 'min', h: 'h' } },
  density: { si: 'kg/m^3', units: { 'g/ml': 'g/ml' } },
  beltSpeed: { si: 'm/s', units: { 'm/min': 'm/min', 'ft/min': 'ft/min' } },
  squeegeeSpeed: { si: 'm/s', units: { 'mm/s': 'mm/s', 'in/s': 'in/s' } },
  airPressure: { si: 'Pa', units: { bar: 'bar', psi: 'psi' } },
  tension: { si: 'N/m', units: { 'N/cm': 'N/cm' } },
  angle: { si: 'rad', units: { '°': 'deg' } },
  ruling: { si: '1/m', units: { lpi: '1/in', 'l/cm': '1/cm' } },
  meshCount: { si: '1/m', units: { tpi: '1/in', 'T/cm': '1/cm' } },
}

describe('units agree with a reference library (js-quantities)', () => {
  for (const [kind, { si, units }] of Object.entries(THEIRS))
    for (const [symbol, theirs] of Object.entries(units))
      it(`${symbol} of ${kind}`, () => {
        const read = parseQuantity(kind as Kind, `3.5 ${symbol}`, 'metric')
        const wanted = Qty(3.5, theirs).to(si).scalar
        expect(read.ok && read.value / wanted).toBeCloseTo(1, 6)
      })
  it('every unit but those of trades and counts is among them', () => {
    const covered = new Set(Object.keys(THEIRS))
    const left = Object.keys(KINDS).filter((k) => !covered.has(k))
    expect(left).toEqual(
      expect.arrayContaining(['turns', 'share', 'shore', 'difference', 'count', 'money', 'price', 'rate']),
    )
    for (const kind of ['temperature'] as const)
      for (const [typed, unit] of [
        ['320F', 'tempF'],
        ['160C', 'tempC'],
      ] as const) {
        const read = parseQuantity(kind, typed, 'metric')
        expect(read.ok && read.value).toBeCloseTo(Qty(Number.parseFloat(typed), unit).to('tempK').scalar, 6)
      }
  })
})
