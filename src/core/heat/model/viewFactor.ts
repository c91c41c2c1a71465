/** A rectangle that lies flat, metres. */
export interface Rectangle {
  readonly width: number
  readonly height: number
}

/**
 * Share of what a small spot gives off upwards that meets a parallel rectangle above it.
 *
 * @param x, y of the spot from the middle of the rectangle, metres
 * @param distance between them, metres, above 0
 * @returns 0 to 1
 * Source: configuration factor of a differential element to a parallel rectangle, as heat transfer handbooks print it.
 */
export function spotFactor({ width, height }: Rectangle, x: number, y: number, distance: number): number {
  const quarter = (u: number, v: number) => {
    const [a, b] = [Math.sqrt(1 + u * u), Math.sqrt(1 + v * v)]
    return ((u / a) * Math.atan(v / a) + (v / b) * Math.atan(u / b)) / (2 * Math.PI)
  }
  const [left, right] = [(-width / 2 - x) / distance, (width / 2 - x) / distance]
  const [low, high] = [(-height / 2 - y) / distance, (height / 2 - y) / distance]
  return quarter(right, high) - quarter(left, high) - quarter(right, low) + quarter(left, low)
}

/**
 * Mean of `spotFactor` over a whole print that lies under the middle of a rectangle.
 *
 * @returns 0 to 1
 * Source: parallel rectangles of different sizes, the sum of sixteen terms, as heat transfer handbooks print it.
 */
export function meanFactor(print: Rectangle, above: Rectangle, distance: number): number {
  const term = (dx: number, dy: number) => {
    const [p, r] = [Math.hypot(dx, distance), Math.hypot(dy, distance)]
    return (
      dy * p * Math.atan(dy / p) +
      dx * r * Math.atan(dx / r) -
      ((distance * distance) / 2) * Math.log(dx * dx + dy * dy + distance * distance)
    )
  }
  let sum = 0
  for (const [sx, ex] of [
    [-1, -1],
    [-1, 1],
    [1, -1],
    [1, 1],
  ] as const)
    for (const [sy, ey] of [
      [-1, -1],
      [-1, 1],
      [1, -1],
      [1, 1],
    ] as const)
      sum +=
        sx *
        ex *
        sy *
        ey *
        term((sx * print.width - ex * above.width) / 2, (sy * print.height - ey * above.height) / 2)
  return sum / (2 * Math.PI * print.width * print.height)
}
