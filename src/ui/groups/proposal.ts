import type { GroupsDraft } from '@/core/grouping/draft'
import { pennantsFor, type Group } from '@/core/grouping/groups'
import { evenSizes, requestFor, type ClassFit, type GroupingRequest } from '@/core/grouping/request'
import type { GroupsPage } from '@/server/groups/groups'
import type { Making } from './make-panel'

type Table = Pick<GroupsDraft, 'groups' | 'locked'>

/** Groups made anew: what is asked of the search, by the teacher's choices and by who stands where now. */
export function requestOf(
  children: readonly string[],
  fit: ClassFit,
  { groups, locked }: Table,
  { links, met, adultNear }: Pick<GroupsPage, 'links' | 'met' | 'adultNear'>,
  { mode, count, largest, smallest }: Making,
): GroupingRequest {
  const pennants = pennantsFor(
    groups.map(({ pennant }) => pennant),
    count,
  )
  const groupOf = new Map(groups.flatMap(({ pennant, pupils }) => pupils.map((id) => [id, pennant])))
  return requestFor(children, fit, {
    mode,
    // The groups that stand give the new ones their names, by who is in them.
    current: Object.fromEntries(groupOf),
    links,
    met,
    // Who stays in a group that is not to be any more stays nowhere.
    locked: Object.fromEntries(
      locked.flatMap((child) => {
        const group = groupOf.get(child)
        return group !== undefined && pennants.includes(group) ? [[child, group] as const] : []
      }),
    ),
    adultNear,
    pennants,
    withAdult: withAdultOf(groups, pennants),
    sizes: evenSizes(children.length, count, largest, smallest),
    evenly: largest === undefined && smallest === undefined,
  })
}

/** Of these groups those with an adult near; none chosen yet: the first. */
function withAdultOf(groups: readonly Group[], pennants: readonly number[]): number[] {
  const there = groups.flatMap(({ withAdult, pennant }) =>
    withAdult && pennants.includes(pennant) ? [pennant] : [],
  )
  return there.length > 0 ? there : pennants.slice(0, 1)
}

/** Groups as they are kept: each with who stays in it and who is a pair there. */
export const asKept = (groups: readonly Group[], { locked, pairs }: Pick<GroupsDraft, 'locked' | 'pairs'>) =>
  groups.map((group) => ({
    ...group,
    locked: locked.filter((child) => group.pupils.includes(child)),
    pairs: Object.fromEntries(Object.entries(pairs).filter(([child]) => group.pupils.includes(child))),
  }))
