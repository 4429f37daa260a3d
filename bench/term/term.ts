import { noHabits } from '@/core/planning/session/habits'
import { seededChance, unit } from '@/core/chance/chance'
import { expectedSuccess, ownBand } from '@/core/evidence/fit'
import type { ProfileStep } from '@/core/skills/marked-step'
import { ownStep, type Standing } from '@/core/evidence/own-step'
import { suggest } from '@/core/evidence/suggestion'
import { gameOf } from '@/core/games'
import { inBand } from '@/core/grouping/problem/fit-cost'
import { addDays, schoolDaysBetween, type Day } from '@/core/planning/calendar'
import type { PlannedChild } from '@/core/planning/session/context'
import type { Played } from '@/core/planning/session/past'
import { stepIndex, strandIds, topStep, type StrandId } from '@/core/skills'
import { jobs } from '@/server/heavy/jobs'
import { levelProfile } from '@/server/figures'
import { stepOfVisit } from '@/server/marks/marks'
import { BestJudge } from './best-judge'
import { abilityOf, Believed, markOf, simulatedClass, truth, type SimulatedChild } from './child'
import { firstGroups, groupedBy, policies, type Policy } from './policies'

const weeks = 10
/** Tuesday, Wednesday, Thursday. */
const weekdays = [1, 2, 3]
const monday: Day = '2026-09-07'
const size = 26
/** How many of the children at a station an adult gets round to. Common practice, no source. */
const seenShare = { 'adult-led': 0.6, 'adult-near': 0.6, own: 0.15 }
const yearGroup = 'Year 1'
/** An item that is right alone less often is beyond a child; at most this share of a level's items may be. */
const beyondBelow = 0.3
const mostBeyond = 0.1

/** Share of a level's items that are beyond a child. @param right alone, per strand and step */
const beyond = (profile: readonly ProfileStep[], right: Record<StrandId, readonly number[]>) =>
  profile.reduce(
    (sum, place) => (right[place.strand][stepIndex(place)] < beyondBelow ? sum + place.share : sum),
    0,
  )

/** What a term came to for one class. */
export interface TermOutcome {
  /** A child at a station in a slot. */
  childSlots: number
  /** Of those, at a level where what is hidden says 70 to 90 % right alone. */
  trueZone: number
  /** Of those in the true zone, at a level that mixes in hardly anything beyond the child. */
  trueThroughout: number
  /** By week from the first: child-slots, and of those in the true zone. */
  byWeek: { childSlots: number; trueZone: number }[]
  /** Said of a child at a step for the first time: `wrong` by what is hidden then. */
  ready: { said: number; wrong: number; farOff: number }
  hard: { said: number; wrong: number }
  moves: number
  marks: number
  /** Of what is believed on addition at the end of the term: by how much it is above what is hidden, and how far off. */
  bias: number
  rmse: number
  /** Minutes of child-slots by the strand that was practised most. */
  minutes: Partial<Record<StrandId, number>>
}

/** One class through ten weeks, run by one policy. The same seed gives the same children, whatever the policy. */
export function liveTerm(seed: number, policyOf: () => Policy): TermOutcome {
  const children = simulatedClass(size, seededChance(seed))
  const chance = seededChance(seed + 1_000_000)
  const policy = policyOf()
  const hidden = new Map(children.map((child) => [child.id, child]))
  const believed = new Map(
    children.map(({ id, placed }) => [id, new Believed(id, yearGroup, addDays(monday, -1), placed)]),
  )
  const judges = new Map(
    policy.judge === 'best'
      ? children.map(({ id, placed }, i) => [id, new BestJudge(placed, seed * size + i)])
      : [],
  )
  const known = (week: number): PlannedChild[] =>
    policy.judge === 'truth'
      ? children.map((child) => ({
          id: child.id,
          name: child.id,
          rightAlone: truth(child, week),
          followed: strandIds,
          yearGroup,
          notKnown: [],
          adultNear: false,
        }))
      : [...believed.values()].map((one) => {
          const planned = one.planned()
          return { ...planned, rightAlone: judges.get(one.id)?.rightAlone(week) ?? planned.rightAlone }
        })
  let groups = firstGroups(known(0))
  const played: Played[] = []
  const outcome: TermOutcome = {
    childSlots: 0,
    trueZone: 0,
    trueThroughout: 0,
    byWeek: Array.from({ length: weeks }, () => ({ childSlots: 0, trueZone: 0 })),
    ready: { said: 0, wrong: 0, farOff: 0 },
    hard: { said: 0, wrong: 0 },
    moves: 0,
    marks: 0,
    bias: 0,
    rmse: 0,
    minutes: {},
  }
  const said = new Set<string>()

  for (let week = 0; week < weeks; week++) {
    if (week > 0 && week % 2 === 0) {
      const before = new Map(groups.flatMap(({ pennant, pupils }) => pupils.map((id) => [id, pennant])))
      groups = policy.regroup(groups, known(week), believed)
      outcome.moves += groups
        .flatMap(({ pennant, pupils }) => pupils.map((id) => before.get(id) !== pennant))
        .filter(Boolean).length
    }
    for (const weekday of weekdays) {
      const day = addDays(monday, week * 7 + weekday)
      session(day, week)
    }
    statements(addDays(monday, week * 7 + 4), week)
  }
  const off = children.map((child) => {
    const { id } = child
    const taken = judges.get(id)?.ability('add', weeks - 1) ?? believed.get(id)!.summary('add').mean
    return taken - abilityOf(child, 'add', weeks - 1)
  })
  outcome.bias = off.reduce((sum, one) => sum + one, 0) / size
  outcome.rmse = Math.sqrt(off.reduce((sum, one) => sum + one * one, 0) / size)
  return outcome

  function session(day: Day, week: number) {
    const all = known(week)
    const byId = new Map(all.map((child) => [child.id, child]))
    const { plan, levelsAt } = planned(day, all, byId)
    const now = new Map(children.map((child) => [child.id, truth(child, week + weekdays.length / 10)]))
    for (const { slot: _slot, groupId, stationId } of plan.cells!) {
      const station = plan.stations.find(({ id }) => id === stationId)!
      const group = groups.find(({ pennant }) => String(pennant) === groupId)!
      const levels = levelsAt(station.gameId, group.pennant)
      for (const [position, id] of group.pupils.entries()) {
        const { id: levelId } = gameOf(station.gameId).levels[levels[position]]
        const profile = levelProfile(station.gameId, levelId)
        const place = stepOfVisit(station.gameId, levelId, 'add')
        outcome.childSlots++
        outcome.minutes[place.strand] = (outcome.minutes[place.strand] ?? 0) + plan.slotMinutes
        const fits = inBand(expectedSuccess(profile, now.get(id)!), ownBand)
        outcome.byWeek[week].childSlots++
        if (fits) {
          outcome.trueZone++
          outcome.byWeek[week].trueZone++
          if (beyond(profile, now.get(id)!) <= mostBeyond) outcome.trueThroughout++
        }
        played.push({ pupilId: id, gameId: station.gameId, mode: station.mode, day })
        if (unit(chance) > seenShare[station.mode]) continue
        const judged = markOf(hidden.get(id)!, place, week, chance)
        believed.get(id)!.take(place, judged, day)
        judges.get(id)?.take(place, judged, week)
        outcome.marks++
      }
    }
  }

  /** The product's own first plan, with the levels the policy gives. */
  function planned(day: Day, all: readonly PlannedChild[], byId: ReadonlyMap<string, PlannedChild>) {
    const followed = (strand: StrandId) =>
      [...believed.values()].filter((one) => one.followed().includes(strand)).length * 2 >= size
    const practised: Partial<Record<StrandId, Day>> = {}
    for (const one of believed.values())
      for (const { strand, day: seen } of one.seen)
        if (seen > (practised[strand] ?? '')) practised[strand] = seen
    const plan = jobs.firstPlan({
      today: day,
      context: {
        grouping: {
          id: 'grouping',
          mode: 'similar',
          ownLevels: policy.ownLevels ?? false,
          groups: groups.map(({ pennant, pupils }) => ({
            id: String(pennant),
            pennant,
            pupils: pupils.map((id) => byId.get(id)!),
            pairs: pupils.map(() => null),
          })),
        },
        seatedBefore: [],
        kept: null,
        habits: noHabits,
        room: {
          inventory: {},
          bagged: [],
          played,
          marks: [],
          begun: strandIds.filter(followed),
          practised,
          day,
        },
      },
    })
    const levels = new Map<string, number[]>()
    const levelsAt = (gameId: string, pennant: number): number[] => {
      const key = `${pennant} ${gameId}`
      const { pupils } = groups.find((group) => group.pennant === pennant)!
      if (!levels.has(key))
        levels.set(
          key,
          policy.levels(
            gameId,
            pupils.map((id) => byId.get(id)!),
            all,
            pennant,
          ),
        )
      return levels.get(key)!
    }
    return { plan, levelsAt }
  }

  /** What the product says of each child at the end of a week, held against what is hidden. */
  function statements(day: Day, week: number) {
    for (const group of groups) {
      const marked = stepOfVisit(groupedBy, group.levelId, 'add')
      for (const id of group.pupils) {
        const one = believed.get(id)!
        const { secure, struggling, workingStep, sd } = one.summary('add')
        const newest = one.seen.at(-1)?.day
        const standing: Standing = {
          seen: one.judgedOn('add'),
          secure,
          struggling,
          workingStep: workingStep ?? stepIndex({ strand: 'add', step: topStep('add') }),
          plays: marked.strand === 'add' ? stepIndex(marked) : null,
          observations: one.observations('add'),
          sd,
          daysSince: newest === undefined ? null : schoolDaysBetween(newest, day),
        }
        hold(hidden.get(id)!, ownStep(standing), suggest(standing).suggestion.kind, week)
      }
    }
  }

  function hold(child: SimulatedChild, step: number, kind: string, week: number) {
    if ((kind !== 'ready' && kind !== 'hard') || said.has(`${child.id} ${step} ${kind}`)) return
    said.add(`${child.id} ${step} ${kind}`)
    const right = truth(child, week).add[step]
    if (kind === 'ready') {
      outcome.ready.said++
      if (right < 0.8) outcome.ready.wrong++
      if (right < 0.7) outcome.ready.farOff++
    } else {
      outcome.hard.said++
      if (right >= 0.5) outcome.hard.wrong++
    }
  }
}

export { policies }
