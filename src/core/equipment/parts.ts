import type { Cloth } from '../order'
import { keysOf } from '../quantity'
import type { ShelfInk, Shop } from './equipment'

/** The shop with its shelf: what a plan reads, and what forms offer. */
export interface ShopAndShelf {
  readonly shop: Shop
  readonly inks: readonly ShelfInk[]
  readonly cloths: readonly Cloth[]
}

/**
 * The shop in the parts that people change without meeting each other: each has its own rows, version and save. A part lies
 * in the whole where it always lies, so that a path names the same field in both.
 */
export interface ShopParts {
  readonly settings: Pick<ShopAndShelf, 'inks' | 'cloths'> & {
    readonly shop: Pick<
      Shop,
      | 'name'
      | 'units'
      | 'inches'
      | 'dayOrder'
      | 'weekFrom'
      | 'air'
      | 'setupPerScreen'
      | 'leadDays'
      | 'goesOut'
      | 'people'
      | 'ownSteps'
      | 'ownTrouble'
      | 'method'
      | 'hours'
      | 'prices'
      | 'squeegees'
    >
  }
  readonly presses: { readonly shop: Pick<Shop, 'presses' | 'flashes' | 'dryers' | 'sharedPallets'> }
  /** With the stencils they carry and where they are mounted. */
  readonly frames: { readonly shop: Pick<Shop, 'frames'> }
  /** What the screen room is like: humidity, meshes, emulsions, lamps, step tests. */
  readonly screens: { readonly shop: Pick<Shop, 'screens'> }
  readonly rack: { readonly shop: Pick<Shop, 'inkRoom'> }
  /** Settings approved at a sample. */
  readonly approved: { readonly shop: Pick<Shop, 'approved'> }
}

export type ShopPart = keyof ShopParts
export type AnyPart = ShopParts[ShopPart]

/** How often each part was saved; 0 for a shop that is not set up. */
export type ShopVersions = Readonly<Record<ShopPart, number>>

export const isSetUp = (versions: ShopVersions): boolean => versions.settings > 0

/** One number for all versions: it only grows. */
export const versionOf = (versions: ShopVersions): number =>
  Object.values(versions).reduce((sum, version) => sum + version, 0)

/** Lists in which something stands: a form makes empty ones of those that are left out. */
const filled = <T extends Readonly<Record<string, readonly unknown[] | undefined>>>(lists: T): Partial<T> =>
  Object.fromEntries(Object.entries(lists).filter(([, list]) => list && list.length > 0)) as Partial<T>

const TAKEN: { readonly [P in ShopPart]: (shelf: ShopAndShelf) => ShopParts[P] } = {
  settings: ({
    shop: {
      name,
      units,
      inches,
      dayOrder,
      weekFrom,
      air,
      setupPerScreen,
      leadDays,
      goesOut,
      people,
      ownSteps,
      ownTrouble,
      method,
      hours,
      prices,
      squeegees,
    },
    inks,
    cloths,
  }) => ({
    shop: {
      // In the order in which it is read: plans are told apart by what is written of the shop.
      ...{ name, method },
      hours: {
        days: hours.days,
        from: hours.from,
        to: hours.to,
        breaks: hours.breaks,
        ...filled({ own: hours.own, off: hours.off, presses: hours.presses }),
      },
      ...{ prices, squeegees },
      ...(units && { units }),
      ...(inches && { inches }),
      ...(dayOrder && { dayOrder }),
      ...(weekFrom && { weekFrom }),
      ...(air && { air }),
      ...(setupPerScreen !== undefined && { setupPerScreen }),
      ...(leadDays && { leadDays }),
      ...filled({ goesOut, people, ownSteps, ownTrouble }),
    },
    inks,
    cloths,
  }),
  presses: ({ shop: { presses, flashes, dryers, sharedPallets } }) => ({
    shop: { presses, flashes, dryers, ...filled({ sharedPallets }) },
  }),
  frames: ({ shop: { frames } }) => ({ shop: { frames } }),
  screens: ({ shop: { screens } }) => ({ shop: { screens } }),
  rack: ({ shop: { inkRoom } }) => ({ shop: { inkRoom } }),
  approved: ({ shop: { approved } }) => ({ shop: { approved } }),
}

export const SHOP_PARTS = keysOf(TAKEN)
export const isShopPart = (name: string): name is ShopPart => Object.hasOwn(TAKEN, name)

/** One part of a shop. */
export const partOf = <P extends ShopPart>(shelf: ShopAndShelf, part: P): ShopParts[P] => TAKEN[part](shelf)

/** A shop with one part of it replaced. */
export const withPart = (shelf: ShopAndShelf, part: AnyPart): ShopAndShelf => ({
  ...shelf,
  ...part,
  shop: { ...shelf.shop, ...part.shop },
})

/** The whole shop of all its parts. */
export const together = ({ settings, ...others }: ShopParts): ShopAndShelf => ({
  ...settings,
  shop: {
    ...settings.shop,
    ...others.presses.shop,
    ...others.frames.shop,
    ...others.screens.shop,
    ...others.rack.shop,
    ...others.approved.shop,
  },
})
