/**
 * Meshes as they are sold: threads to the centimetre, and the count to the inch that stands on the roll, which is not quite
 * the same number (trade names, from memory). Whoever says 110 has 43 in hand.
 */
const SOLD: readonly (readonly [perCm: number, perInch: number])[] = [
  [24, 60],
  [32, 80],
  [43, 110],
  [49, 125],
  [61, 156],
  [77, 195],
  [90, 230],
  [100, 255],
  [110, 280],
  [120, 305],
  [140, 355],
  [150, 380],
  [165, 420],
]
const reckoned = (perCm: number) => Math.round(perCm * 2.54)

/** The count to the inch by which a mesh is sold; undefined for one of no name. @param mesh threads a metre */
export const soldPerInch = (mesh: number): number | undefined =>
  SOLD.find(([perCm]) => Math.abs(mesh / 100 - perCm) < 0.05)?.[1]

/** Threads a metre of a mesh by its count to the inch, as sold or as reckoned; undefined for one of no name. */
export function meshOfPerInch(count: number): number | undefined {
  const found =
    SOLD.find(([, perInch]) => perInch === count) ?? SOLD.find(([perCm]) => reckoned(perCm) === count)
  return found && found[0] * 100
}
