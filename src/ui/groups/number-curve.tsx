import { CountCurve } from '../charts/count-curve'
import { numberFinding } from './number-finding'
import type { CurvePoint } from './use-number-curve'

/** Children in their zone against the number of groups: the groups on the table among those that would be made anew. */
export function NumberCurve({
  points,
  now,
  of,
}: {
  points: readonly CurvePoint[]
  /** The groups on the table, as the headline counts them. */
  now: CurvePoint
  of: number
}) {
  const withNow = points.map((point) => (point.groups === now.groups ? now : point))
  const anew = points.find(({ groups }) => groups === now.groups)
  return (
    <CountCurve
      points={withNow.map(({ groups, fitting }) => ({ at: groups, fitting }))}
      mark={now.groups}
      of={of}
    >
      {numberFinding(withNow, now.groups, anew?.fitting ?? now.fitting)}
    </CountCurve>
  )
}
