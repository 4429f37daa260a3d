/** Shares right alone between which a level fits a child. */
export type Band = readonly [low: number, high: number]

const logit = (p: number) => Math.log(p / (1 - p))

/** Too hard weighs half as much again as too easy. */
const hardWeight = 1.5

/** Cost of a child at a level by predicted success there, 0 inside the band, in squared logits outside it. */
export function fitCost(success: number, [low, high]: Band): number {
  const p = Math.min(1 - 1e-9, Math.max(1e-9, success))
  const z = logit(p)
  if (p < low) return hardWeight * (logit(low) - z) ** 2
  if (p > high) return (z - logit(high)) ** 2
  return 0
}

/** True if the level fits; a rounding error at the edge of the band does not put a child outside. */
export function inBand(success: number, [low, high]: Band): boolean {
  return success >= low - 1e-12 && success <= high + 1e-12
}
