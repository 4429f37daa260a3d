import type { CurvePoint } from '@/workers/grouping'
import { capital, lower } from '../words'

/** What the curve against the number of groups shows, in the words of its finding. */
export function numberFinding(points: readonly CurvePoint[], now: number): string {
  const here = points.find(({ groups }) => groups === now)
  const fewer = points.find(({ groups, fitting }) => groups < now && fitting >= (here?.fitting ?? Infinity))
  if (fewer)
    return `${capital(fewer.groups)} ${fewer.groups === 1 ? 'group fits' : 'groups fit'} as well as ${lower(now)}`
  const more = points.find(({ groups, fitting }) => groups > now && fitting > (here?.fitting ?? 0))
  if (more && here)
    return `${capital(more.groups)} groups would bring ${lower(more.fitting - here.fitting)} more in`
  return 'More groups would not fit better'
}
