import { CountCurve } from '../charts/count-curve'
import { numberFinding } from './number-finding'
import type { CurvePoint } from './use-number-curve'

/** Children in their zone against the number of groups: the groups on the table among those that would be made anew. */
export function NumberCurve({
  points,
  now,
  oneLevel,
  of,
}: {
  points: readonly CurvePoint[]
  /** The groups on the table, as the headline counts them. */
  now: CurvePoint
  /** How many one level for all would fit: a single group. */
  oneLevel: number
  /** Children that are known. */
  of: number
}) {
  const one: CurvePoint = { groups: 1, fitting: oneLevel }
  const withNow = [one, ...points.filter(({ groups }) => groups > 1)].map((point) =>
    point.groups === now.groups ? now : point,
  )
  const anew = points.find(({ groups }) => groups === now.groups)
  return (
    <CountCurve
      points={withNow.map(({ groups, fitting }) => ({ at: groups, fitting }))}
      mark={now.groups}
      of={of}
    >
      {numberFinding(withNow, now.groups, anew?.fitting ?? now.fitting, of)}
    </CountCurve>
  )
}
