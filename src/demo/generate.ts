import type { YearGroup } from '@/core/evidence/prior'
import { normal, seededChance, unit } from '@/core/chance/chance'
import { placedStrands, strandOf } from '@/core/skills'
import { addDays, weekday, type Day } from '@/core/planning/calendar'
import { gameOf } from '@/core/games'
import { addChildren, createClass, classTable, place, saveLinks } from '@/server/classes'
import { allRegroupings } from '@/core/grouping/regrouping/regrouping'
import { regroupingRequest } from '@/core/grouping/regrouping/request'
import { groupsPage, proposeGroups, saveGroups } from '@/server/groups/groups'
import { mainStrand } from '@/server/figures'
import { joinGroup } from '@/server/groups/join'
import { recordMark, stepOfVisit } from '@/server/marks/marks'
import { runPage, tapClock } from '@/server/run'
import type { RunPage } from '@/server/session-board'
import { planPage, savePlan } from '@/server/plan/plan'
import type { Viewer } from '@/server/viewer'
import { judgementOf, tallyOf, type Hidden } from './play'
import { curlew, growthPerWeek, heron, type DemoChild, type DemoClass } from './scenario'

const seed = 20_261_129
/** The tablet the marks of the seven weeks were made on. */
const tablet = '5ea00000-0000-4000-8000-00000000007a'

type SetClock = (day: Day, time?: string) => void

/** One class with the ids it got, and the clock it lives by. */
interface Life {
  viewer: Viewer
  classId: string
  scenario: DemoClass
  /** Name → id, of those who have come so far. */
  ids: Map<string, string>
  setClock: SetClock
}

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
  await liveTerm(viewer, curlew, today, setClock, say)
  const classId = await liveTerm(viewer, heron, today, setClock, say)
  setClock(today)
  await keepPlan(viewer, classId, today)
}

/** The weeks of a class before this one. @returns its id */
async function liveTerm(
  viewer: Viewer,
  scenario: DemoClass,
  today: Day,
  setClock: SetClock,
  say: (line: string) => void,
): Promise<string> {
  const days = sessionDays(today, scenario)
  setClock(addDays(days[0], -1))
  const there = scenario.children.filter(({ joins }) => joins === undefined)
  const classId = await makeClass(viewer, scenario.name, scenario.yearGroup, there)
  const ids = new Map((await classTable(viewer, { classId })).rows.map(({ id, name }) => [name, id]))
  const life: Life = { viewer, classId, scenario, ids, setClock }
  await placeAsTeacher(life, there)
  const pairs = (kind: 'apart' | 'together') =>
    scenario[kind].map(([a, b]) => ({ kind, pupilA: ids.get(a)!, pupilB: ids.get(b)! }))
  const links = [...pairs('apart'), ...pairs('together')]
  if (links.length > 0) await saveLinks(viewer, { classId, links })
  await firstGroups(life)
  for (const [number, day] of days.entries()) {
    const week = Math.floor(number / scenario.weekdays.length) + 1
    setClock(day)
    if (number % scenario.weekdays.length === 0) {
      say(`${scenario.name}, week ${week} of ${scenario.weeks}`)
      if (week > 1 && week % 2 === 1) await moveSome(life)
      await takeIn(life, week)
    }
    await liveSession(life, day, number, week)
  }
  return classId
}

/** The session days of the weeks before today's. */
function sessionDays(today: Day, { weeks, weekdays }: DemoClass): Day[] {
  const monday = mondayOf(today)
  return Array.from({ length: weeks }, (_, week) =>
    weekdays.map((d) => addDays(monday, (week - weeks) * 7 + d - 1)),
  ).flat()
}

/** The Monday of a day's week. */
export const mondayOf = (day: Day): Day => addDays(day, -((weekday(day) + 6) % 7))

/** Children who come in a week: on the list, and in no group until somebody puts them there. */
async function takeIn({ viewer, classId, scenario, ids }: Life, week: number) {
  const coming = scenario.children.filter(({ joins }) => joins === week)
  if (coming.length === 0) return
  const text = coming.map(({ name, year }) => `${name},${year}`).join('\n')
  await addChildren(viewer, { classId, list: { text, columns: ['name', 'year'], hasHeader: false } })
  for (const { id, name } of (await classTable(viewer, { classId })).rows) ids.set(name, id)
}

async function makeClass(
  viewer: Viewer,
  name: string,
  yearGroup: YearGroup,
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
async function placeAsTeacher({ viewer, classId, scenario, ids }: Life, children: readonly DemoChild[]) {
  const chance = seededChance(seed)
  const placements = children.flatMap((child) =>
    [...placedStrands, ...scenario.taught].map((id) => {
      const { steps } = strandOf(id)
      const guess = hiddenAbility(child, 0, scenario.weeks)(id) + 0.8 * normal(chance)
      const step = steps.findLast(({ difficulty }) => difficulty < guess) ?? steps[0]
      return { pupilId: ids.get(child.name)!, strand: id, step: step.id, sureness: 'about' as const }
    }),
  )
  await place(viewer, { classId, placements })
}

/** Ability by week: the other strands follow addition, as far along their ladder as it is on its own. */
function hiddenAbility({ now, growth, away }: DemoChild, week: number, weeks: number): Hidden {
  const missed = (away ?? []).filter((missedWeek) => missedWeek > week).length
  const add = now - growthPerWeek[growth] * (weeks - week - missed)
  const { steps: addSteps } = strandOf('add')
  const along = add / addSteps[addSteps.length - 1].difficulty
  return (strand) => {
    if (strand === 'add') return add
    if (strand === 'how-many') return 0.3 * add + 0.4
    if (strand === 'numerals') return 0.28 * add + 0.2
    return along * strandOf(strand).steps.at(-1)!.difficulty + 0.3
  }
}

async function firstGroups({ viewer, classId, scenario }: Life) {
  const made = await proposeGroups(viewer, { classId, gameId: scenario.gameId, count: scenario.groups })
  await saveGroups(viewer, {
    classId,
    groupingId: crypto.randomUUID(),
    gameId: made.gameId,
    note: 'first groups',
    groups: made.groups,
  })
}

/** The moves a teacher would accept: the last of those suggested. */
async function moveSome({ viewer, classId }: Life) {
  const { children, standing, fits, links, adultNear } = await groupsPage(viewer, { classId })
  const { groups, gameId } = standing
  const ids = children.map(({ id }) => id)
  const request = regroupingRequest(ids, fits[gameId], groups, links, adultNear)
  const better = allRegroupings(request, groups).at(-1)!
  if (better.moves.length === 0) return
  await saveGroups(viewer, {
    classId,
    groupingId: crypto.randomUUID(),
    gameId,
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

/** Who is in no group of the session joins the one with fewest children, as it is under way. */
async function joinSmallest({ viewer, classId }: Life, { session, visits, waiting }: RunPage) {
  for (const { id: pupilId } of waiting) {
    const fewest = visits.reduce((least, one) => (one.children.length < least.children.length ? one : least))
    await joinGroup(viewer, { classId, sessionId: session.id, pupilId, groupId: fewest.groupId })
  }
}

/** One session from plan to finish, with the marks a busy adult gets round to. */
async function liveSession(life: Life, day: Day, number: number, week: number) {
  const { viewer, classId, scenario, ids, setClock } = life
  const children = new Map(scenario.children.map((child) => [ids.get(child.name), child]))
  const chance = seededChance(seed + number * 101)
  const { sessionId, view } = await keepPlan(viewer, classId, day)
  setClock(day, '10:15')
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  await joinSmallest(life, (await runPage(viewer, { classId }))!)
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
      const hidden = hiddenAbility(child, week, scenario.weeks)
      const levelId = planned.ownLevels[pupilId] ?? planned.levelId
      const place = stepOfVisit(gameId, levelId, mainStrand(scenario.gameId))
      const { params } = gameOf(gameId).levels.find(({ id }) => id === levelId)!
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
  for (let slot = 0; slot < page.session.slots; slot++)
    await tapClock(viewer, { classId, sessionId, tap: 'next', slot })
}
