import { normal, seededChance, unit } from '@/core/chance/chance'
import { placedStrands, strandOf, type StrandId } from '@/core/skills'
import { addDays, weekday, type Day } from '@/core/planning/calendar'
import { gameOf } from '@/core/games'
import { createClass, classTable, place, saveLinks } from '@/server/classes'
import { allRegroupings, regroupingRequest } from '@/core/grouping/regrouping'
import { groupsPage, proposeGroups, saveGroups } from '@/server/groups/groups'
import { recordMark, stepOfVisit } from '@/server/marks/marks'
import { runPage, tapClock } from '@/server/run'
import { planPage, savePlan } from '@/server/plan/plan'
import type { Viewer } from '@/server/viewer'
import { judgementOf, tallyOf, type Hidden } from './play'
import { curlew, growthPerWeek, heron, type DemoChild } from './scenario'

const seed = 20_261_124
/** The tablet the marks of the seven weeks were made on. */
const tablet = '5ea00000-0000-4000-8000-00000000007a'

/** Strands this class works on beside those every class is placed on. */
const taught: readonly StrandId[] = [...placedStrands, 'count', 'order', 'place']

type SetClock = (day: Day, time?: string) => void

/**
 * The demo school, lived through day by day by the application's own use cases with the clock set
 * back: children are simulated from a hidden ability, everything else is worked out as for real.
 *
 * @param setClock moves the application's clock to a day, nine o'clock if no time is given
 */
export async function generateDemo(
  viewer: Viewer,
  today: Day,
  setClock: SetClock,
  say: (line: string) => void,
) {
  setClock(addDays(today, -7 * 2))
  await makeClass(
    viewer,
    curlew.name,
    curlew.yearGroup,
    curlew.children.map((name) => ({ name, year: curlew.yearGroup })),
  )

  const days = sessionDays(today)
  setClock(addDays(days[0], -1))
  const classId = await makeClass(viewer, heron.name, heron.yearGroup, heron.children)
  const ids = new Map((await classTable(viewer, { classId })).rows.map(({ id, name }) => [name, id]))
  await placeAsTeacher(viewer, classId, ids)
  const pair = (names: string[]) => ({ pupilA: ids.get(names[0])!, pupilB: ids.get(names[1])! })
  await saveLinks(viewer, {
    classId,
    links: [
      { kind: 'apart', ...pair(heron.apart) },
      { kind: 'together', ...pair(heron.together) },
    ],
  })
  await firstGroups(viewer, classId)

  const children = new Map(heron.children.map((child) => [ids.get(child.name)!, child]))
  for (const [number, day] of days.entries()) {
    const week = Math.floor(number / heron.weekdays.length) + 1
    setClock(day)
    if (number % heron.weekdays.length === 0) {
      say(`week ${week} of ${heron.weeks}`)
      if (week > 1 && week % 2 === 1) await moveSome(viewer, classId)
    }
    await liveSession(viewer, classId, day, number, week, children, setClock)
  }
  setClock(today)
  await keepPlan(viewer, classId, today)
}

/** The session days of the weeks before today's. */
function sessionDays(today: Day): Day[] {
  const monday = addDays(today, -((weekday(today) + 6) % 7))
  return Array.from({ length: heron.weeks }, (_, week) =>
    heron.weekdays.map((d) => addDays(monday, (week - heron.weeks) * 7 + d - 1)),
  ).flat()
}

async function makeClass(
  viewer: Viewer,
  name: string,
  yearGroup: 'Reception' | 'Year 1',
  children: readonly { name: string; year: string }[],
) {
  const classId = crypto.randomUUID()
  const text = children.map((child) => `${child.name},${child.year}`).join('\n')
  await createClass(viewer, {
    classId,
    name,
    yearGroup,
    list: { text, columns: ['name', 'year'], hasHeader: false },
  })
  return classId
}

/** The teacher's first placements: near the truth, a step off now and then. */
async function placeAsTeacher(viewer: Viewer, classId: string, ids: Map<string, string>) {
  const chance = seededChance(seed)
  const placements = heron.children.flatMap((child) =>
    taught.map((id) => {
      const { steps } = strandOf(id)
      const guess = hiddenAbility(child, 0)(id) + 0.8 * normal(chance)
      const step = steps.findLast(({ difficulty }) => difficulty < guess) ?? steps[0]
      return {
        pupilId: ids.get(child.name)!,
        strand: id,
        step: step.id,
        sureness: 'about' as const,
      }
    }),
  )
  await place(viewer, { classId, placements })
}

/** Ability by week: the other strands follow addition, as far along their ladder as it is on its own. */
function hiddenAbility({ now, growth, away }: DemoChild, week: number): Hidden {
  const missed = (away ?? []).filter((missedWeek) => missedWeek > week).length
  const add = now - growthPerWeek[growth] * (heron.weeks - week - missed)
  const { steps: addSteps } = strandOf('add')
  const along = add / addSteps[addSteps.length - 1].difficulty
  return (strand) => {
    if (strand === 'add') return add
    if (strand === 'how-many') return 0.3 * add + 0.4
    if (strand === 'numerals') return 0.28 * add + 0.2
    return along * strandOf(strand).steps.at(-1)!.difficulty + 0.3
  }
}

async function firstGroups(viewer: Viewer, classId: string) {
  const made = await proposeGroups(viewer, { classId, gameId: 'landfall', count: 6 })
  await saveGroups(viewer, {
    classId,
    groupingId: crypto.randomUUID(),
    gameId: made.gameId,
    note: 'first groups',
    groups: made.groups,
  })
}

/** The moves a teacher would accept: the last of those suggested. */
async function moveSome(viewer: Viewer, classId: string) {
  const { children, standing, fits, links, adultNear } = await groupsPage(viewer, { classId })
  const { groups } = standing
  const ids = children.map(({ id }) => id)
  const better = allRegroupings(
    regroupingRequest(ids, fits[standing.gameId], groups, links, adultNear),
    groups,
  ).at(-1)!
  if (better.moves.length === 0) return
  await saveGroups(viewer, {
    classId,
    groupingId: crypto.randomUUID(),
    gameId: 'landfall',
    note: 'suggested moves',
    groups: better.groups,
  })
}

/**
 * Keeps the plan that the class is offered for a day, with a second adult near the second station, and says what it
 * comes to.
 */
async function keepPlan(viewer: Viewer, classId: string, day: Day) {
  const sessionId = crypto.randomUUID()
  const { groupingId, plan } = (await planPage(viewer, { classId })).view!
  const stations = plan.stations.map((station, position) =>
    position === 1 ? { ...station, mode: 'adult-near' as const } : station,
  )
  await savePlan(viewer, { classId, sessionId, groupingId, plan: { ...plan, day, adults: 2, stations } })
  return { sessionId, view: (await planPage(viewer, { classId })).view! }
}

/** One session from plan to finish, with the marks a busy adult gets round to. */
async function liveSession(
  viewer: Viewer,
  classId: string,
  day: Day,
  number: number,
  week: number,
  children: Map<string, DemoChild>,
  setClock: SetClock,
) {
  const chance = seededChance(seed + number * 101)
  const { sessionId, view } = await keepPlan(viewer, classId, day)
  setClock(day, '10:15')
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const page = (await runPage(viewer, { classId }))!
  setClock(day, '11:00')
  for (const { id: visitId, slot, stationId, pennant, children: present } of page.visits) {
    const { gameId, mode } = view.stations.find(({ id }) => id === stationId)!
    const group = view.groups.find((one) => one.pennant === pennant)!
    const planned = view.visits.find((visit) => visit.slot === slot && visit.groupId === group.id)!
    // An adult sees most at the own station and little where children work alone.
    const seen = mode === 'own' ? 0.15 : 0.6
    // By name, not as they are seated: partners change nothing of what a child can do.
    for (const { id: pupilId } of [...present].sort((a, b) => a.name.localeCompare(b.name))) {
      const child = children.get(pupilId)!
      if (child.away?.includes(week) || unit(chance) > seen) continue
      const hidden = hiddenAbility(child, week)
      const place = stepOfVisit(gameId, planned.levelId, 'add')
      const { params } = gameOf(gameId).levels.find(({ id }) => id === planned.levelId)!
      const visit = {
        gameId,
        params,
        players: Math.max(...planned.sets),
        slotMinutes: view.plan.slotMinutes,
        place,
      }
      const tally =
        unit(chance) < 0.25 ? tallyOf(visit, hidden, 5, seed + number * 1000 + chance.int(0, 999)) : null
      const mark = tally ?? { judged: judgementOf(hidden, place, chance) }
      const madeAt = new Date(`${day}T10:${20 + slot * 12}:${String(chance.int(10, 59))}Z`).toISOString()
      await recordMark(viewer, {
        classId,
        id: crypto.randomUUID(),
        observer: tablet,
        visitId,
        pupilId,
        ...mark,
        madeAt,
      })
    }
  }
  await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
}
