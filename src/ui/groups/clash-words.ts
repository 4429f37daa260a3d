import { groupNames } from '@/core/grouping/pennants'
import type { Link } from '@/core/grouping/request'
import type { Clash, Contradiction, Limit } from '@/core/grouping/problem/units'

/** Why limits can't hold at once, in sentences, and what to drop. */
export function clashInWords(
  contradictions: readonly Contradiction[],
  clash: Clash | null,
  names: ReadonlyMap<string, string>,
): string[] {
  const list = (ids: readonly string[]) => listOf(ids, names)
  return [
    ...contradictions.map((contradiction) => {
      switch (contradiction.kind) {
        case 'sizes':
          return `Groups of these sizes hold ${contradiction.least} to ${contradiction.most} children; the class has ${contradiction.children}.`
        case 'together-and-apart':
          return `${list(contradiction.children)} are to be kept together and apart at once.`
        case 'locked-apart-in-one-group':
          return `${list(contradiction.children)} are kept apart, but both stay in one group.`
        case 'together-locked-to-two-groups':
          return `${list(contradiction.children)} are kept together, but stay in two groups.`
        case 'locked-without-adult':
          return `${list(contradiction.children)}: an adult is to be near, but the group to stay in has none.`
        case 'too-many-kept-together':
          return `${list(contradiction.children)} are kept together, but a group holds ${contradiction.most}.`
        default:
          return 'No groups can keep all the limits at once.'
      }
    }),
    ...(clash
      ? [`Groups are possible without: ${clash.drop.map((limit) => limitInWords(limit, names)).join('; ')}.`]
      : []),
  ]
}

/** Even groups could not keep the limits: which they are. @param links asked for by the teacher; who else is to be together is a pair */
export function unevenInWords(
  { limits }: Clash,
  names: ReadonlyMap<string, string>,
  links: readonly Link[],
): string {
  const isPair = (limit: Limit) =>
    limit.kind === 'together' &&
    !links.some(
      ({ kind, a, b }) => kind === 'together' && limit.children.includes(a) && limit.children.includes(b),
    )
  const told = limits
    .filter((limit) => limit.kind !== 'sizes' && !isPair(limit))
    .map((limit) => limitInWords(limit, names))
  if (limits.some(isPair)) told.push('both of a pair in one group')
  return told.length === 0
    ? 'Even groups can’t keep all the limits: the sizes gave way.'
    : `Even groups can’t keep this: ${told.join('; ')}. The sizes gave way.`
}

const listOf = (ids: readonly string[], names: ReadonlyMap<string, string>) =>
  ids.map((id) => names.get(id) ?? 'a child').join(' and ')

function limitInWords(limit: Limit, names: ReadonlyMap<string, string>): string {
  switch (limit.kind) {
    case 'apart':
      return `keeping ${listOf(limit.children, names)} apart`
    case 'together':
      return `keeping ${listOf(limit.children, names)} together`
    case 'locked':
      return `keeping ${listOf([limit.child], names)} in ${groupNames[limit.group]}`
    case 'adult-near':
      return `an adult near ${listOf([limit.child], names)}`
    case 'sizes':
      return 'these sizes'
  }
}
