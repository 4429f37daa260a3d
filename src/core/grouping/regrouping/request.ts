import type { Group } from '../groups'
import { evenSizes, requestFor, type ClassFit, type GroupingRequest, type Link } from '../request'

/** Groups with somebody in them, if there are any: one that all have left is not filled again by moving a child there alone. */
export function filled(groups: readonly Group[]): readonly Group[] {
  const some = groups.filter(({ pupils }) => pupils.length > 0)
  return some.length > 0 ? some : groups
}

/**
 * The groups that stand, but for empty ones, as a request to regroup them within their sizes. Who is in no group yet stays
 * where it stands: a newcomer is put in one by the teacher, and is no move.
 */
export function regroupingRequest(
  children: readonly string[],
  fit: ClassFit,
  standing: readonly Group[],
  links: readonly Link[],
  adultNear: readonly string[],
): GroupingRequest {
  const groups = filled(standing)
  const inGroups = children.filter((id) => groups.some(({ pupils }) => pupils.includes(id)))
  // With an adult near no group there is nowhere to move to: then this limit waits until one has.
  const withAdult = groups.flatMap((group) => (group.withAdult ? [group.pennant] : []))
  const sizes = groups.map(({ pupils }) => pupils.length)
  const even = evenSizes(inGroups.length, groups.length)
  return requestFor(inGroups, fit, {
    links: links.filter(({ a, b }) => inGroups.includes(a) && inGroups.includes(b)),
    pennants: groups.map(({ pennant }) => pennant),
    sizes: { min: Math.max(1, Math.min(even.min, ...sizes)), max: Math.max(even.max, ...sizes) },
    adultNear: withAdult.length > 0 ? adultNear.filter((id) => inGroups.includes(id)) : [],
    withAdult,
    current: Object.fromEntries(groups.flatMap(({ pennant, pupils }) => pupils.map((id) => [id, pennant]))),
  })
}
