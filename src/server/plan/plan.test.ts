import { gameOf, games } from '@/core/games'
import { fewestAgain, pairsAgain } from '@/core/planning/seating/partners'
import { stepOf, strandOf } from '@/core/skills'
import { classTable, place } from '../classes'
import { groupsPage, proposeGroups, saveGroups } from '../groups/groups'
import { countOnShelf, planPage, previewPlan, savePlan } from './plan'
import { childPage } from '../progress'
import type { Plan, PlannedStation } from '@/core/planning/session/plan'
import { recordMark } from '../marks/marks'
import { takeWay, waysToGoOn } from '../room/replan'
import { runPage, tapClock } from '../run'
import { grouped, mark, newClass, openTestSchool, planWith, rowsOf, running, viewer } from '../testing/school'

openTestSchool()

type View = NonNullable<Awaited<ReturnType<typeof planPage>>['view']>

/** A station of its own number. */
const station = (change: Partial<PlannedStation>): PlannedStation => ({
  id: crypto.randomUUID(),
  gameId: 'landfall',
  mode: 'own',
  places: null,
  ...change,
})
const cell = (view: View, slot: number, group: number, stationId: string, change: object = {}) => ({
  slot,
  groupId: view.groups[group].id,
  stationId,
  pinned: false,
  levelId: null,
  ...change,
})
const visitAt = ({ visits, groups }: View, slot: number, group: number) =>
  visits.find((visit) => visit.slot === slot && visit.groupId === groups[group].id)!
/** The plan with other properties of the cell of a group in a slot. */
const withCell = ({ plan, groups }: View, slot: number, group: number, change: object): Plan => ({
  ...plan,
  cells: plan.cells.map((one) =>
    one.slot === slot && one.groupId === groups[group].id ? { ...one, ...change } : one,
  ),
})

test('rules of the room show on the cells: an adult where a game needs one, one floor, and the shelf', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const kinds = async (stations: Partial<PlannedStation>[]) => {
    const { conflicts } = await previewPlan(viewer, {
      classId,
      groupingId: view!.groupingId,
      plan: { ...view!.plan, stations: stations.map(station), slots: 1, cells: undefined },
    })
    return new Set(conflicts.map(({ kind }) => kind))
  }
  const needsAdult = games.find(({ room }) => room.adult)!.id
  expect(await kinds([{ gameId: needsAdult, mode: 'own' }])).toContain('adult')
  expect(await kinds([{ gameId: needsAdult, mode: 'adult-led' }])).not.toContain('adult')
  const [one, two] = games.filter(({ room }) => room.floor === 3).map(({ id }) => id)
  expect(
    await kinds([
      { gameId: one, mode: 'adult-led' },
      { gameId: two ?? one, mode: 'adult-led' },
    ]),
  ).toContain('floor')
  const landfall = [{ gameId: 'landfall', mode: 'own' as const }]
  expect(await kinds(landfall)).not.toContain('materials')
  await countOnShelf(viewer, { classId, item: 'marker', count: 1 })
  expect(await kinds(landfall)).toContain('materials')
})

test('what was counted on the shelf stands beside what the plan needs', async () => {
  const classId = await newClass()
  await grouped(classId)
  const dice = async () => {
    const { shelf } = await planWith(classId)
    return shelf.find(({ item }) => item === 'die')!
  }
  const { count, have, short } = await dice()
  expect({ have, short }).toEqual({ have: null, short: 0 })
  await countOnShelf(viewer, { classId, item: 'die', count: count - 1 })
  await countOnShelf(viewer, { classId, item: 'number cards 1 to 6', count: 3 })
  expect(await dice()).toMatchObject({
    have: count - 1,
    short: 1,
    instead: [{ item: 'number cards 1 to 6', count: 1 }],
  })
  await countOnShelf(viewer, { classId, item: 'die', count: null })
  expect(await dice()).toMatchObject({ have: null, short: 0 })
  await expect(countOnShelf(viewer, { classId, item: 'die', count: -2 })).rejects.toThrow('fewer than none')
  // What another class has is its own.
  const other = await newClass()
  await grouped(other)
  const { view } = await planPage(viewer, { classId: other })
  expect(view!.shelf.every((need) => need.have === null)).toBe(true)
})

test('a plan gives every group a station in every slot, and names what it can’t keep', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  expect(view!.visits).toHaveLength(view!.plan.slots * 2)
  const slots = view!.plan.stations.length + 1
  const look = (plan: Plan) => previewPlan(viewer, { classId, groupingId: view!.groupingId, plan })
  const longer = await look({ ...view!.plan, slots, cells: undefined })
  const [{ id: groupId }] = view!.groups
  expect(longer.conflicts).toContainEqual({ kind: 'again', slot: slots - 1, groupId })
  // A slot more, nobody placed in it yet: gaps, against which nothing stands.
  const gaps = await look({ ...view!.plan, slots })
  expect(gaps.gaps).toEqual(
    view!.groups.map(({ id }) => ({ slot: slots - 1, groupId: id, nothingOffered: false, rules: {} })),
  )
  const landfall = view!.stations.find(({ gameId }) => gameId === 'landfall')!.id
  const chosen = await look(withCell(view!, 0, 0, { stationId: landfall, levelId: 'to-100' }))
  expect(visitAt(chosen, 0, 0)).toMatchObject({
    levelId: 'to-100',
    chosen: true,
  })
})

test('adults, places and pins: told on the cells, kept with the session', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const kinds = async (adults: number, stations: PlannedStation[]) => {
    const cells = stations.map(({ id }, group) => cell(view!, 0, group, id))
    const plan = { ...view!.plan, slots: 1, adults, stations, cells }
    const { conflicts } = await previewPlan(viewer, { classId, groupingId: view!.groupingId, plan })
    return new Set(conflicts.map(({ kind }) => kind))
  }
  const two = [station({ mode: 'adult-led' }), station({ mode: 'adult-near' })]
  expect(await kinds(1, two)).toContain('adults')
  expect(await kinds(2, two)).not.toContain('adults')
  expect(await kinds(1, [station({ mode: 'adult-led', places: 1 }), station({})])).toContain('places')
  const sessionId = crypto.randomUUID()
  const plan = {
    ...view!.plan,
    slots: 2,
    adults: 2,
    stations: two,
    cells: [
      cell(view!, 0, 0, two[1].id, { pinned: true }),
      cell(view!, 0, 1, two[0].id),
      cell(view!, 1, 0, two[0].id),
    ],
    around: { ...view!.plan.around, tidy: 4, lesson: 20 },
  }
  await savePlan(viewer, { classId, sessionId, groupingId: view!.groupingId, plan })
  const kept = (await planPage(viewer, { classId })).view!
  expect(kept.plan).toMatchObject({ adults: 2, around: plan.around })
  const where = ({ plan: { cells, stations } }: Pick<View, 'plan'>) =>
    cells.map(({ slot, groupId, stationId, pinned }) => {
      const position = stations.findIndex(({ id }) => id === stationId)
      return `${slot} ${groupId} ${position} ${pinned}`
    })
  expect(where(kept).sort()).toEqual(where({ plan }).sort())
  expect(kept.gaps).toMatchObject([{ slot: 1, groupId: view!.groups[1].id }])
  expect(kept.times.over).toBeGreaterThan(0)
})

test('mixed groups: each child has a range of its own, on the plan and in what its marks are about', async () => {
  const classId = await newClass()
  const { rows: table } = await classTable(viewer, { classId })
  await place(viewer, {
    classId,
    placements: table.map(({ id }, i) => ({
      pupilId: id,
      strand: 'add' as const,
      step: i % 2 ? 'make-ten-20' : 'count-all-10',
      sureness: 'sure' as const,
    })),
  })
  const made = await proposeGroups(viewer, { classId, gameId: 'landfall', count: 2, mode: 'mixed' })
  await saveGroups(viewer, {
    classId,
    groupingId: crypto.randomUUID(),
    gameId: 'landfall',
    mode: 'mixed',
    groups: made.groups,
  })
  const page = (await groupsPage(viewer, { classId })).standing
  expect(page.mode).toBe('mixed')
  expect(new Set(Object.values(page.own)).size).toBeGreaterThan(1)
  const view = await planWith(classId)
  expect(view.visits.every(({ ranges }) => ranges.length > 0)).toBe(true)
  // Every range of a group has its track: none is left out of what is printed and fetched.
  const first = view.visits.find(({ slot, stationId }) => slot === 0 && stationId === view.stations[0].id)!
  const tracks = view.stations[0].needs.filter(({ item }) => item.startsWith('track'))
  expect(tracks.length).toBeGreaterThanOrEqual(
    new Set(first.ranges.map(({ title }) => title.split(',')[0])).size,
  )
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, groupingId: view.groupingId, plan: view.plan })
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const run = (await runPage(viewer, { classId }))!
  const visit = run.visits.find(
    ({ children }) => new Set(children.map(({ own }) => own?.step.short)).size > 1,
  )!
  for (const { id, own } of visit.children) {
    await recordMark(viewer, { classId, ...mark(visit.id, id) })
    const [record] = (await childPage(viewer, { classId, pupilId: id })).records
    expect(stepOf(record).short).toBe(own!.step.short)
  }
})

test('a session without stations, on a day gone by or with odd minutes is refused with its reason, and nothing written', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const before = await rowsOf('station_session')
  const keep = (change: object) =>
    savePlan(viewer, {
      classId,
      sessionId: crypto.randomUUID(),
      groupingId: view!.groupingId,
      plan: { ...view!.plan, ...change },
    })
  await expect(keep({ stations: [], cells: [] })).rejects.toThrow('at least one station')
  await expect(keep({ day: '2026-11-23' })).rejects.toThrow('has passed')
  await expect(keep({ slotMinutes: 3 })).rejects.toThrow('at least 5 minutes')
  expect(await rowsOf('station_session')).toBe(before)
})

test('partners change from slot to slot and from session to session; a session of today counts at once', async () => {
  const classId = await newClass()
  await grouped(classId)
  const first = await planWith(classId)
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, groupingId: first.groupingId, plan: first.plan })
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const run = (await runPage(viewer, { classId }))!
  // The seats of the plan are the seats of the session, and its rows stand in their order.
  for (const { slot, pennant, seats, children } of run.visits) {
    const planned = first.visits.find(
      (visit) =>
        visit.slot === slot && first.groups.find(({ id }) => id === visit.groupId)!.pennant === pennant,
    )!
    expect(seats).toEqual(planned.seats)
    expect(children.map(({ id }) => id)).toEqual(seats.flat())
  }
  for (let slot = 0; slot < run.session.slots; slot++)
    await tapClock(viewer, { classId, sessionId, tap: 'next', slot })

  const second = await planWith(classId)
  for (const { id } of second.groups) {
    const seatsIn = ({ visits }: View) =>
      visits.filter((visit) => visit.groupId === id && visit.seats.length > 1).sort((a, b) => a.slot - b.slot)
    const [before, after] = [seatsIn(first).at(-1)!, seatsIn(second)[0]]
    const sizes = before.seats.map(({ length }) => length)
    expect(after.partnersAgain).toEqual(pairsAgain(before.seats, after.seats))
    expect(after.partnersAgain).toHaveLength(fewestAgain(sizes, after.seats.length))
  }
  // All was played today; what the teacher pins may come again, and is not told.
  const soon = ({ conflicts, groups }: View) =>
    conflicts.filter(
      ({ kind, groupId, slot }) => kind === 'game-again' && groupId === groups[0].id && slot === 0,
    ).length
  expect(soon(second)).toBe(1)
  const pinned = await previewPlan(viewer, {
    classId,
    groupingId: second.groupingId,
    plan: withCell(second, 0, 0, { pinned: true }),
  })
  expect(soon(pinned)).toBe(0)
  // Played the school day before: nothing has to be shown first, and the teacher’s table was then.
  expect(second.showFirst).toEqual([])
  expect(second.groups.some(({ sinceTeacher }) => sinceTeacher === 1)).toBe(true)
})

test.each([
  ['a Wednesday', '2026-11-25', '2026-11-26'],
  ['a Friday', '2026-11-27', '2026-11-30'],
])(
  'a plan to start from is for today; once a session was held, on %s, for the next school day',
  async (_, today, next) => {
    const before = process.env.ISLANDS_CLOCK
    process.env.ISLANDS_CLOCK = `${today}T10:00:00Z`
    try {
      const classId = await newClass()
      await grouped(classId)
      const view = (await planPage(viewer, { classId })).view!
      expect(view.plan.day).toBe(today)
      const sessionId = crypto.randomUUID()
      await savePlan(viewer, { classId, sessionId, groupingId: view.groupingId, plan: view.plan })
      await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
      await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
      expect((await planPage(viewer, { classId })).view!.plan.day).toBe(next)
    } finally {
      process.env.ISLANDS_CLOCK = before
    }
  },
)

test('the next plan begins with the times of the session before, and with its adults', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const [sessionId, plan] = [
    crypto.randomUUID(),
    { ...view!.plan, startsAt: '09:10', slotMinutes: 15, adults: 2 },
  ]
  await savePlan(viewer, { classId, sessionId, groupingId: view!.groupingId, plan })
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
  const next = (await planPage(viewer, { classId })).view!.plan
  expect(next).toMatchObject({ startsAt: '09:10', slotMinutes: 15, adults: 2, around: plan.around })
  expect(next.stations.slice(0, 2).map(({ mode }) => mode)).toEqual(['adult-led', 'adult-near'])
})

test('a session that was shortened on its day, or made up for a lost slot, says nothing of the next one', async () => {
  const classId = await newClass()
  await grouped(classId)
  const hold = async (slotMinutes: number, late: boolean) => {
    const { view } = await planPage(viewer, { classId })
    const sessionId = crypto.randomUUID()
    const plan = { ...view!.plan, slotMinutes }
    await savePlan(viewer, { classId, sessionId, groupingId: view!.groupingId, plan })
    await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
    if (late) {
      const happened = { kind: 'late', minutes: 10 } as const
      const ways = await waysToGoOn(viewer, { classId, sessionId, happened })
      const { id } = ways.find(({ kind }) => kind === 'shorten')!
      await takeWay(viewer, { classId, sessionId, happened, way: id })
    }
    await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
  }
  await hold(16, false)
  await hold(14, true)
  const usual = (await planPage(viewer, { classId })).view!.plan
  expect(usual.slotMinutes).toBe(16)

  // What is lost today is held the next school day, as a session of one slot.
  const { sessionId, page } = await running(classId)
  const happened = { kind: 'lost-slot' } as const
  const ways = await waysToGoOn(viewer, { classId, sessionId, happened })
  const tomorrow = ways.find(({ kind }) => kind === 'tomorrow')!
  await takeWay(viewer, { classId, sessionId, happened, way: tomorrow.id })
  await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
  const carried = await planPage(viewer, { classId })
  expect(carried.view!.plan).toMatchObject({ slots: 1, day: '2026-11-25' })
  process.env.ISLANDS_CLOCK = '2026-11-25T10:00:00Z'
  await tapClock(viewer, { classId, sessionId: carried.session!.id, tap: 'start', slot: 0 })
  await tapClock(viewer, { classId, sessionId: carried.session!.id, tap: 'finish', slot: 0 })
  const next = (await planPage(viewer, { classId })).view!.plan
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
  expect(next).toMatchObject({
    day: '2026-11-26',
    slots: Math.max(usual.slots, page.session.slots),
    slotMinutes: 16,
  })
})

test('a kept plan goes on: levels follow what is believed now, but for those the teacher chose', async () => {
  const classId = await newClass()
  await grouped(classId)
  const view = await planWith(classId)
  const { stationId } = visitAt(view, 0, 0)
  const { gameId, levels } = view.stations.find(({ id }) => id === stationId)!
  const hardest = levels.at(-1)!.id
  const sessionId = crypto.randomUUID()
  const plan = withCell(view, 0, 0, { levelId: hardest })
  await savePlan(viewer, { classId, sessionId, groupingId: view.groupingId, plan })
  expect((await planPage(viewer, { classId })).changedSince).toBeNull()

  // Everybody is placed at the first step: easier levels fit now.
  const { rows } = await classTable(viewer, { classId })
  const strands = ['add', 'count', 'numerals'] as const
  await place(viewer, {
    classId,
    placements: rows.flatMap(({ id }) =>
      strands.map((strand) => ({
        pupilId: id,
        strand,
        step: strandOf(strand).steps[0].id,
        sureness: 'sure' as const,
      })),
    ),
  })
  const { view: now, changedSince: since } = await planPage(viewer, { classId })
  expect(since).toBe('levels')
  expect(visitAt(now!, 0, 0)).toMatchObject({ levelId: hardest, chosen: true })
  const [{ id: first }] = now!.groups
  const nowAt = (slot: number, groupId: string) =>
    now!.visits.find((visit) => visit.slot === slot && visit.groupId === groupId)!
  const easier = view.visits.filter(({ slot, groupId, levelId }) => nowAt(slot, groupId).levelId !== levelId)
  expect(easier.length).toBeGreaterThan(0)
  for (const { slot, groupId } of easier)
    expect(nowAt(slot, groupId).chosen).toBe(slot === 0 && groupId === first)
  // What is run is what was kept, until it is kept again.
  const titles = (await runPage(viewer, { classId }))!.visits.map(({ level }) => level)
  expect(titles).toContain(gameOf(gameId).levels.at(-1)!.title)
  const again = crypto.randomUUID()
  await savePlan(viewer, {
    classId,
    sessionId: again,
    groupingId: now!.groupingId,
    plan: now!.plan,
    replaces: sessionId,
  })
  const kept = await planPage(viewer, { classId })
  expect(kept.changedSince).toBeNull()
  expect(kept.view!.visits.map(({ levelId }) => levelId)).toEqual(now!.visits.map(({ levelId }) => levelId))
})

test('a kept plan goes on with the newest groups; a session under way stays with its own', async () => {
  const classId = await newClass()
  const groups = await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, groupingId: view!.groupingId, plan: view!.plan })
  const [one, other] = groups
  await saveGroups(viewer, {
    classId,
    groupingId: crypto.randomUUID(),
    gameId: 'landfall',
    groups: [
      { ...one, pupils: one.pupils.slice(1) },
      { ...other, pupils: [...other.pupils, one.pupils[0]] },
    ],
  })
  const planned = await planPage(viewer, { classId })
  expect(planned.changedSince).toBe('groups')
  expect(planned.view!.groups.map(({ children }) => children.length)).toEqual([
    one.pupils.length - 1,
    other.pupils.length + 1,
  ])
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const running = await planPage(viewer, { classId })
  expect(running.changedSince).toBeNull()
  expect(running.view!.groups.map(({ children }) => children.length)).toEqual(
    groups.map(({ pupils }) => pupils.length),
  )
})

test('a plan opened before the groups were swapped is never kept for the wrong children', async () => {
  const classId = await newClass()
  const [one, other] = await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const pinned = withCell(view!, 0, 0, { pinned: true })
  // The same two groups with their children swapped: the first is now the second.
  const groups = [
    { ...one, pupils: other.pupils },
    { ...other, pupils: one.pupils },
  ]
  await saveGroups(viewer, { classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups })
  const before = await rowsOf('station_session')
  const keep = (groupingId: string, plan: Plan) =>
    savePlan(viewer, { classId, sessionId: crypto.randomUUID(), groupingId, plan })
  await expect(keep(view!.groupingId, pinned)).rejects.toThrow('groups have changed')
  // Cells of other groups under the new groups' name are not let through either.
  const { groupingId } = (await planPage(viewer, { classId })).view!
  await expect(keep(groupingId, pinned)).rejects.toThrow('nothing here')
  expect(await rowsOf('station_session')).toBe(before)

  // Looked at again it is carried over: a group goes on by its name, with the children it has now.
  const merged = await previewPlan(viewer, { classId, groupingId: view!.groupingId, plan: pinned })
  expect(merged.groupingId).toBe(groupingId)
  expect(merged.groups.map(({ children }) => children.map(({ id }) => id).sort())).toEqual(
    groups.map(({ pupils }) => [...pupils].sort()),
  )
  expect(visitAt(merged, 0, 0)).toMatchObject({ pinned: true, stationId: visitAt(view!, 0, 0).stationId })
  await keep(merged.groupingId, merged.plan)
  expect(await rowsOf('station_session')).toBe(before + 1)
})

test('a plan sent again because its answer was lost is kept once', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const before = await rowsOf('station_session')
  const input = { classId, sessionId: crypto.randomUUID(), groupingId: view!.groupingId, plan: view!.plan }
  const answers = await Promise.all([savePlan(viewer, input), savePlan(viewer, input)])
  expect(answers).toEqual([{ sessionId: input.sessionId }, { sessionId: input.sessionId }])
  expect(await rowsOf('station_session')).toBe(before + 1)
})

test('a level the game has not, a cell twice or beyond the slots, too many cells: refused, not replaced', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const keep = (plan: Plan) =>
    savePlan(viewer, { classId, sessionId: crypto.randomUUID(), groupingId: view!.groupingId, plan })
  const [first] = view!.plan.cells
  await expect(keep(withCell(view!, 0, 0, { levelId: 'to-the-moon' }))).rejects.toThrow('has no level')
  await expect(keep({ ...view!.plan, cells: [first, first] })).rejects.toThrow('two stations in one slot')
  await expect(keep({ ...view!.plan, cells: [{ ...first, slot: 5 }] })).rejects.toThrow('There are 2 slots')
  const many = Array.from({ length: 60_000 }, (_, i) => ({ ...first, slot: i }))
  await expect(keep({ ...view!.plan, cells: many })).rejects.toThrow()
})
