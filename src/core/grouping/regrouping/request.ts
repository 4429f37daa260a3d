import type { Group } from '../groups'
import { evenSizes, requestFor, type ClassFit, type GroupingRequest, type Link } from '../request'

/** Groups with somebody in them: one that all have left is not filled again by moving a child there alone. */
export const filled = (groups: readonly Group[]): Group[] => groups.filter(({ pupils }) => pupils.length > 0)

/** The groups that stand, but for empty ones, as a request to regroup them within their sizes. */
export function regroupingRequest(
  children: readonly string[],
  fit: ClassFit,
  standing: readonly Group[],
  links: readonly Link[],
  adultNear: readonly string[],
): GroupingRequest {
  const groups = filled(standing)
  // With an adult near no group there is nowhere to move to: then this limit waits until one has.
  const withAdult = groups.flatMap((group) => (group.withAdult ? [group.pennant] : []))
  const sizes = groups.map(({ pupils }) => pupils.length)
  const even = evenSizes(children.length, groups.length)
  return requestFor(children, fit, {
    links,
    pennants: groups.map(({ pennant }) => pennant),
    sizes: { min: Math.min(even.min, ...sizes), max: Math.max(even.max, ...sizes) },
    adultNear: withAdult.length > 0 ? [...adultNear] : [],
    withAdult,
    current: Object.fromEntries(groups.flatMap(({ pennant, pupils }) => pupils.map((id) => [id, pennant]))),
  })
}
