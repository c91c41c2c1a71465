import { describe, expect, it } from 'vitest'
import { BANDS, difference, inner, labOf, layered, outer, overGround, reflectanceOf } from '../color'
import { type BaseInk, type Characterisation, STARTER_RACK } from '../equipment'
import { micron } from '../quantity'
import { coversAlone } from './formula'
import {
  BLACK_CARD,
  colourOfCharacterisation,
  isRead,
  opticsOf,
  opticsOfCharacterisation,
  WHITE_CARD,
} from './optics'

const rack = (code: string): BaseInk => STARTER_RACK.find((i) => i.code === code)!
const curves = (code: string) => rack(code).characterisation as Characterisation & { how: 'curves' }
/** Colour of a deposit of an ink over a card. */
const seen = (characterisation: Characterisation, deposit: number, card: number) =>
  labOf(
    layered(
      [{ optics: opticsOfCharacterisation(characterisation), thickness: deposit }],
      BANDS.map(() => card),
    ),
  )

describe('an ink from its curves over white and black', () => {
  it.each(STARTER_RACK.map((i) => [i.name, i] as const))(
    '%s: the same smear again',
    (_, { characterisation }) => {
      if (characterisation.how !== 'curves') throw new Error('curves expected')
      expect(
        difference(
          seen(characterisation, characterisation.deposit, WHITE_CARD),
          labOf(characterisation.onWhite),
        ),
      ).toBeLessThan(0.3)
      expect(
        difference(
          seen(characterisation, characterisation.deposit, BLACK_CARD),
          labOf(characterisation.onBlack),
        ),
      ).toBeLessThan(0.3)
    },
  )
  it('gives back the constants it was made from (identity)', () => {
    const [k, s, deposit] = [0.02e6, 0.05e6, micron(20)]
    const over = (card: number) => BANDS.map(() => outer(overGround(k, s, deposit, inner(card))))
    const optics = opticsOfCharacterisation({
      how: 'curves',
      deposit,
      onWhite: over(WHITE_CARD),
      onBlack: over(BLACK_CARD),
    })
    expect(optics.k[7]! / k).toBeCloseTo(1, 6)
    expect(optics.s[7]! / s).toBeCloseTo(1, 6)
  })
  it('half a per cent to 5 % of black in white: L* 80, 74, 67, 56 (inside figures, those of the model)', () => {
    const [white, black] = [opticsOfCharacterisation(curves('W1')), opticsOfCharacterisation(curves('K1'))]
    const tint = (c: number) =>
      labOf(
        layered(
          [
            {
              optics: {
                k: white.k.map((k, i) => (1 - c) * k + c * black.k[i]!),
                s: white.s.map((s, i) => (1 - c) * s + c * black.s[i]!),
              },
              thickness: micron(30),
            },
          ],
          BANDS.map(() => WHITE_CARD),
        ),
      ).l
    for (const [share, l] of [
      [0.005, 80],
      [0.01, 74],
      [0.02, 67],
      [0.05, 56],
    ] as const)
      expect(Math.abs(tint(share) - l)).toBeLessThan(1.5)
  })
})

describe('an ink from two colours', () => {
  const asLabs = (code: string): Characterisation => {
    const { deposit, onWhite, onBlack } = curves(code)
    return { how: 'labs', deposit, light: 'D65', onWhite: labOf(onWhite), onBlack: labOf(onBlack) }
  }
  it.each(['W1', 'X1', 'Y1', 'Y2', 'O1', 'R1', 'M1', 'V1', 'B1', 'B2', 'G1'])(
    '%s: a deposit half as thick on a grey card is near what curves say',
    (code) => {
      const [labs, full] = [asLabs(code), curves(code)]
      for (const deposit of [micron(15), micron(40)])
        expect(difference(seen(labs, deposit, 0.3), seen(full, deposit, 0.3))).toBeLessThan(3.5)
    },
  )
  it('meets both colours it was given', () => {
    for (const code of ['Y1', 'B2', 'R1']) {
      const labs = asLabs(code)
      if (labs.how !== 'labs') throw new Error('labs expected')
      expect(difference(seen(labs, labs.deposit, WHITE_CARD), labs.onWhite)).toBeLessThan(0.5)
      expect(difference(seen(labs, labs.deposit, BLACK_CARD), labs.onBlack)).toBeLessThan(0.5)
    }
  })
  it('told for D50 it is the same ink', () => {
    const { deposit, onWhite, onBlack } = curves('G1')
    const d50: Characterisation = {
      how: 'labs',
      deposit,
      light: 'D50',
      onWhite: labOf(onWhite, 'D50'),
      onBlack: labOf(onBlack, 'D50'),
    }
    expect(difference(seen(d50, micron(20), 0.3), seen(curves('G1'), micron(20), 0.3))).toBeLessThan(3)
    expect(difference(colourOfCharacterisation(d50), labOf(onWhite))).toBeLessThan(1.5)
  })
})

it('white and black are colours by themselves; an extender only looks like what it lies on', () => {
  expect(['W1', 'K1', 'O1', 'R1'].map((c) => coversAlone(rack(c)))).toEqual([true, true, true, true])
  expect(['X1', 'M1'].map((c) => coversAlone(rack(c)))).toEqual([false, false])
})

describe('an ink from its class', () => {
  it('covers more by its class and looks the same as a smear on white', () => {
    const [thin, thick] = [opticsOf('#d62f35', 'transparent'), opticsOf('#d62f35', 'blocking')]
    thin.s.forEach((s, i) => {
      expect(s).toBeLessThan(thick.s[i]!)
      expect(thin.k[i]).toBeGreaterThan(0)
    })
  })
  it('is not read, so it is not mixed with', () => {
    const characterisation: Characterisation = { how: 'class', hex: '#d62f35', opacity: 'opaque' }
    expect(isRead(characterisation)).toBe(false)
    expect(isRead(curves('R1'))).toBe(true)
    expect(colourOfCharacterisation(characterisation)).toEqual(labOf(reflectanceOf('#d62f35')))
  })
})
