import { spelledAtStart, spelled } from '../words'
import type { CurvePoint } from './use-number-curve'

/**
 * What the curve against the number of groups shows, in the words of its finding.
 * @param points with the groups on the table among them
 * @param anew how many as many groups as now would bring in if they were made anew
 * @param known of how many children enough is known to be counted
 */
export function numberFinding(
  points: readonly CurvePoint[],
  now: number,
  anew: number,
  known: number,
): string {
  if (known === 0) return 'Too early to say how many groups fit'
  const here = points.find(({ groups }) => groups === now)
  if (here && anew > here.fitting)
    return `Made again, ${spelled(now)} ${now === 1 ? 'group brings' : 'groups bring'} ${spelled(anew - here.fitting)} more in`
  const fewer = points.find(({ groups, fitting }) => groups < now && fitting >= (here?.fitting ?? Infinity))
  if (fewer)
    return `${spelledAtStart(fewer.groups)} ${fewer.groups === 1 ? 'group fits' : 'groups fit'} as well as ${spelled(now)}`
  const more = points.find(({ groups, fitting }) => groups > now && fitting > (here?.fitting ?? 0))
  if (more && here)
    return `${spelledAtStart(more.groups)} groups would bring ${spelled(more.fitting - here.fitting)} more in`
  return 'More groups would not fit better'
}
