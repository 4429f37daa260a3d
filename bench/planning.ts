import { seededChance, unit } from '@/core/chance/chance'
import { games } from '@/core/games'
import { checkPlan } from '@/core/planning/plan/check'
import { planInputSchema, planProblem } from '@/core/planning/plan/problem'
import { planVisits } from '@/core/planning/plan/search'
import { say, timed } from './report'

/** Six groups, six stations, three sessions of three slots; three games on offer at each station. */
function week() {
  const chance = seededChance(6)
  const quiet = games.filter(({ room, players }) => !room.adult && room.floor < 3 && players.max >= 3)
  const groups = Array.from({ length: 6 }, (_, g) => ({
    id: `g${g}`,
    children: g < 2 ? 5 : 4,
    notYet: unit(chance) / 2,
    known: quiet.filter(() => unit(chance) < 0.6).map(({ id }) => id),
  }))
  return planInputSchema.parse({
    sessions: 3,
    slots: 3,
    adults: 2,
    daysBetween: 2,
    groups,
    stations: ['adult-led', 'adult-near', 'own', 'own', 'own', 'digital'].map((mode, s) => ({
      id: `s${s}`,
      mode,
      places: 6,
    })),
    offers: Array.from({ length: 18 }, (_, i) => ({
      station: `s${i % 6}`,
      game: quiet[chance.int(0, quiet.length - 1)].id,
      success: Object.fromEntries(groups.map(({ id }) => [id, 0.5 + unit(chance) / 2])),
      finish: unit(chance),
      liked: unit(chance),
    })),
  })
}

/** A week's plan to its best, and a change by hand checked again. */
export function planning() {
  const problem = planProblem(week())
  const chance = seededChance(1)
  const bare = timed(() => {
    for (let draw = 0; draw < 1_000_000; draw++) chance.int(1, 6)
  })
  const costs: number[] = []
  let visits = new Int32Array(0)
  const start = performance.now()
  const run = planVisits(problem)
  for (let step = run.next(); ; step = run.next()) {
    costs.push(step.value.cost)
    if (!step.done) continue
    visits = step.value.visits as Int32Array<ArrayBuffer>
    break
  }
  const took = performance.now() - start
  const check = timed(() => void checkPlan(problem, visits), 20)
  say()
  say(
    'plan of a week: 6 groups, 6 stations, 3 sessions of 3 slots (goals: under 2 s, a change re-checked under 20 ms)',
  )
  say(
    `  ${(took / 1000).toFixed(1)} s, ${(took / bare).toFixed(0)} times a million bare draws; cost ${costs[0].toFixed(1)} at the first report, ` +
      `${costs[costs.length - 1].toFixed(1)} at the end; re-check ${check.toFixed(2)} ms, ${(check / bare).toFixed(3)} times a million bare draws`,
  )
}
