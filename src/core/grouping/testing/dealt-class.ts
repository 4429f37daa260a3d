import { seededChance, unit } from '../../chance/chance'
import { everyRegrouping } from '../regrouping/by-move-price'
import { allRegroupings } from '../regrouping/regrouping'
import { regroupingRequest } from '../regrouping/request'
import { groupsByIndex, problemOfRequest } from '../request'

/** Twelve children in three groups, dealt without regard to what they can do. */
export function dealtClass(seed: number) {
  const chance = seededChance(seed)
  const ids = Array.from({ length: 12 }, (_, i) => `c${i}`)
  const abilities = Object.fromEntries(ids.map((id) => [id, 6 * unit(chance)]))
  const fit = {
    levels: [0, 1.5, 3].map((difficulty) => ({ id: `l${difficulty}`, title: `${difficulty}` })),
    success: Object.fromEntries(
      ids.map((id) => [id, [0, 1.5, 3].map((difficulty) => 1 / (1 + Math.exp(difficulty - abilities[id])))]),
    ),
    abilities,
    notKnown: [],
    spans: {},
  }
  const groups = [0, 1, 2].map((g) => ({
    pennant: [4, 0, 2][g],
    levelId: fit.levels[g].id,
    pupils: ids.filter((_, i) => i % 3 === g),
    withAdult: false,
  }))
  const request = regroupingRequest(ids, fit, groups, [], [])
  const problem = problemOfRequest(request)
  const all = everyRegrouping(problem, groupsByIndex(request, groups))
  return { problem, request, fit, groups, all, found: allRegroupings(request, groups) }
}
