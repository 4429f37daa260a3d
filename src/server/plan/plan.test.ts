import { gameOf, games } from '@/core/games'
import { fewestAgain, pairsAgain } from '@/core/planning/seating/partners'
import { stepOf } from '@/core/skills'
import { classTable, place } from '../classes'
import { groupsPage, proposeGroups, saveGroups } from '../groups/groups'
import { countOnShelf, planPage, previewPlan, savePlan } from './plan'
import { childPage } from '../progress'
import { recordMark, runPage, tapClock } from '../run'
import { grouped, mark, newClass, openTestSchool, rowsOf, viewer } from '../testing/school'

openTestSchool()

test('rules of the room show on the cells: an adult where a game needs one, one floor, and the shelf', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const kinds = async (stations: { gameId: string; mode: 'own' | 'adult-led' }[]) => {
    const { conflicts } = await previewPlan(viewer, {
      classId,
      plan: { ...view!.plan, stations, slots: 1, chosen: {} },
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
    const { view } = await planPage(viewer, { classId })
    return view!.shelf.find(({ item }) => item === 'die')!
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
  const longer = await previewPlan(viewer, { classId, plan: { ...view!.plan, slots, placed: undefined } })
  expect(longer.conflicts).toContainEqual({ kind: 'again', slot: slots - 1, group: 0 })
  // A slot more, nobody placed in it yet: gaps, against which nothing stands.
  const gaps = await previewPlan(viewer, { classId, plan: { ...view!.plan, slots } })
  expect(gaps.gaps).toEqual(
    [0, 1].map((group) => ({ slot: slots - 1, group, nothingOffered: false, rules: {} })),
  )
  const chosen = await previewPlan(viewer, { classId, plan: { ...view!.plan, chosen: { '0:0': 'to-100' } } })
  expect(chosen.visits.find(({ slot, group }) => slot === 0 && group === 0)).toMatchObject({
    levelId: 'to-100',
    chosen: true,
  })
})

test('adults, places and pins: told on the cells, kept with the session', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const station = (change: object) =>
    ({ gameId: 'landfall', mode: 'adult-led', places: null, ...change }) as const
  const kinds = async (change: object) => {
    const { conflicts } = await previewPlan(viewer, {
      classId,
      plan: { ...view!.plan, slots: 1, placed: { '0:0': 0, '0:1': 1 }, chosen: {}, ...change },
    })
    return new Set(conflicts.map(({ kind }) => kind))
  }
  const two = [station({}), station({ mode: 'adult-near' })]
  expect(await kinds({ stations: two, adults: 1 })).toContain('adults')
  expect(await kinds({ stations: two, adults: 2 })).not.toContain('adults')
  const tight = [station({ places: 1 }), station({ mode: 'own' })]
  expect(await kinds({ stations: tight })).toContain('places')
  const sessionId = crypto.randomUUID()
  const plan = {
    ...view!.plan,
    slots: 2,
    adults: 2,
    stations: two,
    placed: { '0:0': 1, '0:1': 0, '1:0': 0 },
    pinned: ['0:0'],
    around: { ...view!.plan.around, tidy: 4, lesson: 20 },
  }
  await savePlan(viewer, { classId, sessionId, plan })
  const kept = (await planPage(viewer, { classId })).view!
  expect(kept.plan).toMatchObject({ adults: 2, placed: plan.placed, pinned: ['0:0'], around: plan.around })
  expect(kept.gaps.map(({ slot, group }) => [slot, group])).toEqual([[1, 1]])
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
      step: i % 2 ? 9 : 2,
      sureness: 'sure' as const,
    })),
  })
  const made = await proposeGroups(viewer, { classId, gameId: 'landfall', count: 2, mode: 'mixed' })
  await saveGroups(viewer, {
    classId,
    groupingId: crypto.randomUUID(),
    gameId: 'landfall',
    mode: 'mixed',
    groups: made.groups.map(({ pennant, level, children }) => ({
      pennant,
      levelId: made.levels[level].id,
      pupils: children,
    })),
  })
  const page = await groupsPage(viewer, { classId })
  expect(page.mode).toBe('mixed')
  expect(new Set(Object.values(page.own)).size).toBeGreaterThan(1)
  const { view } = await planPage(viewer, { classId })
  expect(view!.visits.every(({ ranges }) => ranges.length > 0)).toBe(true)
  // Every range of a group has its track: none is left out of what is printed and fetched.
  const first = view!.visits.find(({ slot, station }) => slot === 0 && station === 0)!
  const tracks = view!.stations[0].needs.filter(({ item }) => item.startsWith('track'))
  expect(tracks.length).toBeGreaterThanOrEqual(
    new Set(first.ranges.map(({ title }) => title.split(',')[0])).size,
  )
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, plan: view!.plan })
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
    savePlan(viewer, { classId, sessionId: crypto.randomUUID(), plan: { ...view!.plan, ...change } })
  await expect(keep({ stations: [] })).rejects.toThrow('at least one station')
  await expect(keep({ day: '2026-11-23' })).rejects.toThrow('has passed')
  await expect(keep({ slotMinutes: 3 })).rejects.toThrow('at least 5 minutes')
  expect(await rowsOf('station_session')).toBe(before)
})

test('partners change from slot to slot and from session to session; a session of today counts at once', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view: first } = await planPage(viewer, { classId })
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, plan: first!.plan })
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const run = (await runPage(viewer, { classId }))!
  // The seats of the plan are the seats of the session, and its rows stand in their order.
  for (const { slot, pennant, seats, children } of run.visits) {
    const planned = first!.visits.find(
      (visit) => visit.slot === slot && first!.groups[visit.group].pennant === pennant,
    )!
    expect(seats).toEqual(planned.seats)
    expect(children.map(({ id }) => id)).toEqual(seats.flat())
  }
  await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })

  const { view: second } = await planPage(viewer, { classId })
  for (const [group] of second!.groups.entries()) {
    const seatsIn = ({ visits }: typeof second & object) =>
      visits
        .filter((visit) => visit.group === group && visit.seats.length > 1)
        .sort((a, b) => a.slot - b.slot)
    const [before, after] = [seatsIn(first!).at(-1)!, seatsIn(second!)[0]]
    const sizes = before.seats.map(({ length }) => length)
    expect(after.partnersAgain).toEqual(pairsAgain(before.seats, after.seats))
    expect(after.partnersAgain).toHaveLength(fewestAgain(sizes, after.seats.length))
  }
  // All was played today; what the teacher pins may come again, and is not told.
  const soon = ({ conflicts }: NonNullable<typeof second>) =>
    conflicts.filter(({ kind, group, slot }) => kind === 'game-again' && group === 0 && slot === 0).length
  expect(soon(second!)).toBe(1)
  const pinned = await previewPlan(viewer, { classId, plan: { ...second!.plan, pinned: ['0:0'] } })
  expect(soon(pinned)).toBe(0)
  // Played today: nothing has to be shown first, and the teacher’s table was today.
  expect(second!.showFirst).toEqual([])
  expect(second!.groups.some(({ sinceTeacher }) => sinceTeacher === 0)).toBe(true)
})

test('a kept plan goes on: levels follow what is believed now, but for those the teacher chose', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const cell = view!.visits.find(({ slot, group }) => slot === 0 && group === 0)!
  const { gameId } = view!.stations[cell.station]
  const hardest = view!.stations[cell.station].levels.at(-1)!.id
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, plan: { ...view!.plan, chosen: { '0:0': hardest } } })
  expect((await planPage(viewer, { classId })).since).toBeNull()

  // Everybody is placed at the first step: easier levels fit now.
  const { rows } = await classTable(viewer, { classId })
  const strands = ['add', 'count', 'numerals'] as const
  await place(viewer, {
    classId,
    placements: rows.flatMap(({ id }) =>
      strands.map((strand) => ({ pupilId: id, strand, step: 0, sureness: 'sure' as const })),
    ),
  })
  const { view: now, since } = await planPage(viewer, { classId })
  expect(since).toBe('levels')
  const levelAt = (slot: number, group: number, shown = now!) =>
    shown.visits.find((visit) => visit.slot === slot && visit.group === group)!
  expect(levelAt(0, 0)).toMatchObject({ levelId: hardest, chosen: true })
  const easier = view!.visits.filter(({ slot, group, levelId }) => levelAt(slot, group).levelId !== levelId)
  expect(easier.length).toBeGreaterThan(0)
  for (const { slot, group } of easier) expect(levelAt(slot, group).chosen).toBe(slot === 0 && group === 0)
  // What is run is what was kept, until it is kept again.
  const titles = (await runPage(viewer, { classId }))!.visits.map(({ level }) => level)
  expect(titles).toContain(gameOf(gameId).levels.at(-1)!.title)
  const again = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId: again, plan: now!.plan, replaces: sessionId })
  const kept = await planPage(viewer, { classId })
  expect(kept.since).toBeNull()
  expect(kept.view!.visits.map(({ levelId }) => levelId)).toEqual(now!.visits.map(({ levelId }) => levelId))
})

test('a kept plan goes on with the newest groups; a session under way stays with its own', async () => {
  const classId = await newClass()
  const groups = await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, plan: view!.plan })
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
  expect(planned.since).toBe('groups')
  expect(planned.view!.groups.map(({ children }) => children.length)).toEqual([
    one.pupils.length - 1,
    other.pupils.length + 1,
  ])
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const running = await planPage(viewer, { classId })
  expect(running.since).toBeNull()
  expect(running.view!.groups.map(({ children }) => children.length)).toEqual(
    groups.map(({ pupils }) => pupils.length),
  )
})
