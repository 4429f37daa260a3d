interface Minutes {
  p10: number
  p50: number
  p90: number
}

/** Minutes of games at the pace of a class. */
export const timesPace = ({ p10, p50, p90 }: Minutes, factor: number): Minutes => ({
  p10: p10 * factor,
  p50: p50 * factor,
  p90: p90 * factor,
})

/** Share of games that end within some minutes, between whole ones in proportion; null: time-boxed or not measured. */
export function shareWithin(within: number[] | null | undefined, minutes: number): number | null {
  if (!within) return null
  const at = Math.min(within.length - 1, minutes)
  const before = Math.floor(at)
  return within[before] + (within[Math.ceil(at)] - within[before]) * (at - before)
}
