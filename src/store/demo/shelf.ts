import { type ShelfInk, shelfCloth, shelfInk } from '@/core/equipment'
import type { Cloth } from '@/core/order'

export const DEMO_INKS: readonly ShelfInk[] = [
  shelfInk('white', 'Harbour white', '#f4f4f0', 'blocking', 'white'),
  shelfInk('black', 'Coal black', '#191a1b', 'blocking', 'black'),
  shelfInk('red', 'Buoy red', '#e03c2e', 'opaque'),
  shelfInk('pennant', 'Pennant red', '#e83d41', 'transparent'),
  shelfInk('orange', 'Lifeboat orange', '#e2701d', 'opaque'),
  shelfInk('yellow', 'Moon yellow', '#f1d768'),
  shelfInk('light-green', 'Samphire green', '#93bf4f'),
  shelfInk('green', 'Bottle green', '#1d4d33'),
  shelfInk('sky', 'Comet blue', '#5b9bc9'),
  shelfInk('blue', 'Harbour blue', '#1f3a7d'),
  shelfInk('plum', 'Plum', '#4a2145', 'opaque'),
  shelfInk('brown', 'Rope brown', '#6b4423'),
  shelfInk('copper', 'Copper shimmer', '#b06a3d', 'opaque', 'metallic'),
  shelfInk('raised', 'Raised chalk', '#dcdcd6', 'opaque', 'expanding'),
  shelfInk('sand', 'Soft sand', '#c08a4e', 'transparent', 'spot', 'waterBased'),
  shelfInk('sea', 'Soft sea green', '#3f6f6a', 'transparent', 'spot', 'waterBased'),
  shelfInk('py', 'Process yellow', '#f7dc1e', 'transparent', 'yellow'),
  shelfInk('pm', 'Process magenta', '#c4347c', 'transparent', 'magenta'),
  shelfInk('pc', 'Process cyan', '#2196c9', 'transparent', 'cyan'),
  shelfInk('pk', 'Process black', '#2a2a2c', 'ordinary', 'key'),
]

export const DEMO_CLOTHS: readonly Cloth[] = [
  shelfCloth('Navy', '#1f2a44', 180),
  shelfCloth('Heather grey', '#b3b5b8', 180),
  shelfCloth('Charcoal', '#3b3d40', 180),
  shelfCloth('White', '#f6f6f6', 160),
  shelfCloth('Black', '#1e1f21', 180),
  shelfCloth('Black hood', '#1e1f21', 330, 'fleece'),
  shelfCloth('Maroon polyester', '#5b1a2b', 140, 'jersey', 1),
  shelfCloth('Natural organic', '#ece3d0', 170),
  shelfCloth('Rust canvas', '#9c4a2a', 300, 'canvas'),
  shelfCloth('Marigold sweat', '#f0ae1f', 280, 'fleece', 0.2),
]
