/** 97.5 % point of the standard normal: half-widths are 1.96 standard errors. */
export const z95 = 1.959963984540054

/** A value found by playing, with the half-width of its 95 % interval. */
export interface Estimated {
  mean: number
  halfWidth: number
}

export function standardError(values: ArrayLike<number>): number {
  const n = values.length
  if (n < 2) return Infinity
  let sum = 0
  for (let i = 0; i < n; i++) sum += values[i]
  const mean = sum / n
  let squares = 0
  for (let i = 0; i < n; i++) squares += (values[i] - mean) ** 2
  return Math.sqrt(squares / (n - 1) / n)
}

/**
 * Mean of values of which several may come from one game.
 * @param games as many of them are taken to stand by themselves
 */
export function meanOf(values: readonly number[], games = values.length): Estimated {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  return { mean, halfWidth: z95 * standardError(values) * Math.sqrt(values.length / games) }
}

/**
 * Half-width of a 95 % interval of a share, with two successes and two failures added, so that a share
 * of zero or one is not taken for certain (Agresti & Coull 1998, The American Statistician 52:119).
 */
export function shareHalfWidth(share: number, n: number): number {
  const adjusted = (share * n + 2) / (n + 4)
  return z95 * Math.sqrt((adjusted * (1 - adjusted)) / (n + 4))
}

/**
 * Half-width of a 95 % interval of Σx ÷ Σy from batches of equal size, each a pair of sums
 * (Cochran 1977, Sampling Techniques, ch. 6: the spread of x − ratio · y).
 */
export function ratioHalfWidth(batches: readonly (readonly [x: number, y: number])[]): number {
  const [x, y] = [0, 1].map((at) => batches.reduce((sum, batch) => sum + batch[at], 0))
  const residual = batches.map(([bx, by]) => bx - (x / y) * by)
  return (z95 * standardError(residual)) / (y / batches.length)
}
