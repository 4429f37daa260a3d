import type { InZone } from '@/core/grouping/in-zone'

/** How well the groups fit, of the children that are known; who is not known yet is neither in nor out. */
export function titleOf({ fitting, known, notKnown }: InZone, oneLevel: InZone): string {
  if (known === 0) return 'Nobody is known yet: groups by where you placed them'
  const unknown = notKnown > 0 ? `, ${notKnown} not known yet` : ''
  return `${fitting} of ${known} in their zone${unknown}; one level for all: ${oneLevel.fitting}`
}
