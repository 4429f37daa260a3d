import { cheaper, Classes, distinct, moreFitting, type PresentGroup, type Step } from './arrangements'
import type { Grouping, GroupingProblem } from '../problem/problem'

/** Classes on the way that are followed up: of those that cost least, and of those with most in their zone. */
const kept = 60

/**
 * Groupings within 1, 2, 3 … moves of the present one: after each number of moves those that cost least, and those
 * with most children in their zone that cost no more than the present one, from which the next move is tried (a beam
 * search; Lowerre 1976, The HARPY speech recognition system). A group that changes takes the cheapest level, any other keeps its own. On the way a group may be
 * too small or too large by one, so that children can change places; no other limit is ever broken, and no such
 * class is told.
 * @param present in order of group number
 * @param most moves looked ahead
 * Yields those found for one number of moves more each time.
 * @throws {ContradictoryLimits}
 */
export function* fewMoves(
  problem: GroupingProblem,
  present: readonly PresentGroup[],
  most = 6,
): Generator<Grouping[], void> {
  const classes = new Classes(problem, present)
  const now = classes.first()
  const beams: Step[][] = [[now]]
  for (let moves = 1; moves <= most; moves++) {
    const tried = classes.units.members.flatMap((members, unit) =>
      (beams[moves - members.length] ?? []).flatMap((step) => classes.tries(step, unit)),
    )
    const fitting = tried.filter(({ cost }) => cost <= now.cost + 1e-9)
    const beam = [...classes.best(tried, cheaper, kept), ...classes.best(fitting, moreFitting, kept)]
    beams.push(distinct(beam))
    yield beams[moves].filter((step) => classes.holds(step)).map((step) => classes.told(step))
  }
}
