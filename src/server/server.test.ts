import { cpSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { openServerDatabase, serverDatabase } from '@/data/connection'
import { pupilsOf } from '@/data/queries/pupils'
import { games } from '@/core/games'
import { stepOf } from '@/core/skills'
import { addChildren, classTable, createClass, place, saveLinks } from './classes'
import { changeHouseStyle } from './house-style'
import { gamePage, gamesPage } from './games'
import { regroup } from '@/core/grouping/curves'
import { regroupingOf, worthTheirMoves } from '@/core/grouping/regrouping'
import { problemOfRequest } from '@/core/grouping/request'
import { gameFit, groupsPage, proposeGroups, saveGroups } from './groups/groups'
import { harbourPage } from './harbour'
import { countOnShelf, planPage, previewPlan, savePlan } from './plan/plan'
import { childPage, progressPage } from './progress'
import { markAbsent, recordMark, runPage, tapClock } from './run'
import { NotHere, readingClass, Refused } from './use-case'
import { currentViewer, type Viewer } from './viewer'
import { classIdSchema } from './classes'
import { rebuildEstimates } from './estimates'

const viewer = currentViewer()
const stranger = { adultId: crypto.randomUUID() } as Viewer
const names = ['Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre', 'Freya', 'Goran', 'Hanne']
const list = (text: string) => ({ text, columns: ['name' as const], hasHeader: false })

beforeAll(async () => {
  const folder = join(mkdtempSync(join(tmpdir(), 'islands-server-')), 'data')
  cpSync(process.env.ISLANDS_EMPTY_FOLDER!, folder, { recursive: true })
  process.env.ISLANDS_FOLDER = folder
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
  await openServerDatabase()
}, 60_000)

afterAll(async () => (await openServerDatabase()).close())

async function newClass() {
  const classId = crypto.randomUUID()
  await createClass(viewer, { classId, name: 'Tern', yearGroup: 'Year 1', list: list(names.join('\n')) })
  return classId
}

async function grouped(classId: string) {
  const made = await proposeGroups(viewer, { classId, gameId: 'landfall', count: 2 })
  const groups = made.groups.map(({ pennant, level, children }) => ({
    pennant,
    levelId: made.levels[level].id,
    pupils: children,
  }))
  await saveGroups(viewer, { classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups })
  return groups
}

async function planned(classId: string) {
  const sessionId = crypto.randomUUID()
  const { view } = await planPage(viewer, { classId })
  await savePlan(viewer, { classId, sessionId, plan: view!.plan })
  return sessionId
}

async function running(classId: string) {
  await grouped(classId)
  const sessionId = await planned(classId)
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  return { sessionId, page: (await runPage(viewer, { classId }))! }
}

const rows = async (table: string) =>
  (
    (await (await serverDatabase()).execute(sql.raw(`select count(*)::int as n from ${table}`))).rows[0] as {
      n: number
    }
  ).n

const mark = (visitId: string, pupilId: string, change: object = {}) => ({
  id: crypto.randomUUID(),
  visitId,
  pupilId,
  judged: 'own' as const,
  madeAt: '2026-11-24T10:20:00Z',
  ...change,
})

test('a class is created with every child placed by year group', async () => {
  const classId = await newClass()
  const { rows: table } = await classTable(viewer, { classId })
  expect(table.map(({ name }) => name)).toEqual(names)
  for (const { cells } of table) expect(cells.add!.observations).toBe(0)
})

test('a list with a bad line writes nothing at all', async () => {
  const before = [await rows('classroom'), await rows('pupil')]
  const input = {
    classId: crypto.randomUUID(),
    name: 'Bad',
    yearGroup: 'Year 1' as const,
    list: list('Ama\n=1+1\nBo'),
  }
  await expect(createClass(viewer, input)).rejects.toThrow('Line 2')
  expect([await rows('classroom'), await rows('pupil')]).toEqual(before)
})

test('the same name twice in a class is refused', async () => {
  const classId = await newClass()
  await expect(addChildren(viewer, { classId, list: list('Ida\nAma') })).rejects.toThrow(Refused)
  expect((await classTable(viewer, { classId })).rows).toHaveLength(8)
})

test('placing a child again moves the estimate there', async () => {
  const classId = await newClass()
  const [ama] = (await classTable(viewer, { classId })).rows
  await place(viewer, {
    classId,
    placements: [{ pupilId: ama.id, strand: 'add', step: 9, sureness: 'sure' }],
  })
  const after = (await classTable(viewer, { classId })).rows.find(({ id }) => id === ama.id)!
  expect(after.cells.add!.p50).toBeCloseTo(9 * 1.5 + 0.5, 1)
  await expect(
    place(viewer, { classId, placements: [{ pupilId: ama.id, strand: 'add', step: 99, sureness: 'sure' }] }),
  ).rejects.toThrow('no such step')
})

test('the class table shows any set of strands, and a child can be placed on strands that nobody has looked at', async () => {
  const classId = await newClass()
  const { rows: all, strands } = await classTable(viewer, { classId, set: 'counting' })
  expect(strands).toEqual(['count', 'count-back', 'order'])
  const [child] = all
  expect(child.cells.count).toMatchObject({ observations: 0 })
  await place(viewer, {
    classId,
    placements: [{ pupilId: child.id, strand: 'count', step: 5, sureness: 'sure' }],
  })
  const after = (await classTable(viewer, { classId, set: 'counting' })).rows.find(
    ({ id }) => id === child.id,
  )!
  expect(after.cells.count!.p50).toBeGreaterThan(child.cells.count!.p50)
  // What is not a set shows the first.
  expect((await classTable(viewer, { classId, set: 'none' as never })).set).toBe('numbers')
})

test('marks move the estimate, and what is stored equals a rebuild from all records', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const visit = page.visits[0]
  const [child] = visit.children
  const before = await childPage(viewer, { classId, pupilId: child.id })
  for (const judged of ['own', 'own', 'help', 'notYet'] as const)
    await recordMark(viewer, { classId, ...mark(visit.id, child.id, { judged }) })
  await recordMark(viewer, { classId, ...mark(visit.id, child.id, { judged: null, right: 4, of: 5 }) })
  const after = await childPage(viewer, { classId, pupilId: child.id })
  expect(after.records).toHaveLength(5)
  const strand = after.strands.findIndex(({ estimate }) => estimate.observations === 5)
  expect(strand).toBeGreaterThanOrEqual(0)
  const stored = after.strands[strand].estimate
  expect(stored.mean).not.toBeCloseTo(before.strands[strand].estimate.mean, 3)
  // What the suggestion rests on: the estimate of its step, and the four judgements at it.
  const { suggestion, weighed } = after
  const spokenOf = after.strands.find((one) => one.strand === suggestion.strand)!.estimate
  expect(weighed!.estimate.probability).toBeCloseTo(spokenOf.secure[suggestion.step], 9)
  expect(weighed!.estimate.afterNotYet).toBeLessThan(weighed!.estimate.afterOwn)
  expect(weighed!.count).toMatchObject({ ready: false, own: 2, of: 4, days: 1 })

  const rebuild = readingClass(classIdSchema, (scope) => rebuildEstimates(scope, placements))
  const { placements: all } = await classTable(viewer, { classId })
  const placements = all
    .filter(({ pupilId }) => pupilId === child.id)
    .map((placed) => ({ ...placed, day: '2026-11-24' }))
  await rebuild(viewer, { classId })
  const rebuilt = (await childPage(viewer, { classId, pupilId: child.id })).strands[strand].estimate
  for (const key of ['mean', 'sd', 'p10', 'p50', 'p90'] as const)
    expect(rebuilt[key]).toBeCloseTo(stored[key], 9)
  rebuilt.secure.forEach((probability, step) => expect(probability).toBeCloseTo(stored.secure[step], 9))
})

test('a mark sent twice counts once; a correction takes its place; taken back, nothing is left', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const visit = page.visits[0]
  const pupilId = visit.children[0].id
  const first = mark(visit.id, pupilId)
  expect(await recordMark(viewer, { classId, ...first })).toEqual({ stored: true })
  expect(await recordMark(viewer, { classId, ...first })).toEqual({ stored: false })
  const second = mark(visit.id, pupilId, { judged: 'help', corrects: first.id })
  await recordMark(viewer, { classId, ...second })
  expect((await childPage(viewer, { classId, pupilId })).records.map(({ judged }) => judged)).toEqual([
    'help',
  ])
  await recordMark(viewer, { classId, ...mark(visit.id, pupilId, { judged: null, corrects: second.id }) })
  const { records, strands } = await childPage(viewer, { classId, pupilId })
  expect(records).toEqual([])
  for (const { estimate } of strands) expect(estimate.observations).toBe(0)
  // Append-only: all three records are still there.
  expect(await rows(`observation where pupil_id = '${pupilId}'`)).toBe(3)
})

test('two devices marking one child at once: both records stay and both count', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const visit = page.visits[0]
  const pupilId = visit.children[0].id
  await Promise.all(
    Array.from({ length: 8 }, () => recordMark(viewer, { classId, ...mark(visit.id, pupilId) })),
  )
  const { records, strands } = await childPage(viewer, { classId, pupilId })
  expect(records).toHaveLength(8)
  expect(Math.max(...strands.map(({ estimate }) => estimate.observations))).toBe(8)
})

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

test('house style: suggestions come from the class’s own way of deciding', async () => {
  const classId = await newClass()
  await changeHouseStyle(viewer, {
    classId,
    style: { movingUp: { by: 'count', own: 1, of: 1, days: 1 }, skipOrder: 'twos-fives-tens' },
  })
  const { page } = await running(classId)
  const [visit] = page.visits
  await recordMark(viewer, { classId, ...mark(visit.id, visit.children[0].id) })
  const kinds = async () =>
    (await progressPage(viewer, { classId })).suggestions
      .filter(({ id }) => id === visit.children[0].id)
      .map(({ suggestion }) => suggestion.kind)
  expect(await kinds()).toEqual(['ready'])
  await changeHouseStyle(viewer, { classId, style: { movingUp: { by: 'judgement' } } })
  expect(await kinds()).toEqual([])
  expect((await classTable(viewer, { classId })).style.skipOrder).toBe('tens-fives-twos')
})

test('children who need an adult near are grouped where one is, and stay so', async () => {
  const classId = await newClass()
  const { rows: table } = await classTable(viewer, { classId })
  const near = [table[0].id, table.at(-1)!.id]
  await saveLinks(viewer, { classId, links: [], adultNear: near })
  const made = await proposeGroups(viewer, { classId, gameId: 'landfall', count: 2 })
  expect(made.groups[0]).toMatchObject({ withAdult: true })
  expect(made.groups[0].children).toEqual(expect.arrayContaining(near))
  expect((await groupsPage(viewer, { classId })).adultNear.sort()).toEqual([...near].sort())
  expect((await classTable(viewer, { classId })).rows.filter(({ adultNear }) => adultNear)).toHaveLength(2)
})

test('a session without stations, on a day gone by or with odd minutes is refused with its reason, and nothing written', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const before = await rows('station_session')
  const keep = (change: object) =>
    savePlan(viewer, { classId, sessionId: crypto.randomUUID(), plan: { ...view!.plan, ...change } })
  await expect(keep({ stations: [] })).rejects.toThrow('at least one station')
  await expect(keep({ day: '2026-11-23' })).rejects.toThrow('has passed')
  await expect(keep({ slotMinutes: 3 })).rejects.toThrow('at least 5 minutes')
  expect(await rows('station_session')).toBe(before)
})

test('groups with a level the game lacks, or a child twice, are refused', async () => {
  const classId = await newClass()
  const groups = await grouped(classId)
  const keep = (changed: typeof groups) =>
    saveGroups(viewer, { classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups: changed })
  await expect(keep(groups.map((group) => ({ ...group, levelId: 'to-the-moon' })))).rejects.toThrow(
    'no such level',
  )
  await expect(
    keep([{ ...groups[0], pupils: [...groups[0].pupils, groups[1].pupils[0]] }, groups[1]]),
  ).rejects.toThrow('two groups')
  expect((await groupsPage(viewer, { classId })).version?.number).toBe(1)
})

test('children kept apart are never grouped together, and keeping them together as well is refused in words', async () => {
  const classId = await newClass()
  const [a, b] = (await classTable(viewer, { classId })).rows
  await saveLinks(viewer, { classId, links: [{ kind: 'apart', pupilA: a.id, pupilB: b.id }] })
  const { groups } = await proposeGroups(viewer, { classId, gameId: 'landfall', count: 2 })
  expect(groups.some(({ children }) => children.includes(a.id) && children.includes(b.id))).toBe(false)
  await expect(proposeGroups(viewer, { classId, gameId: 'landfall', count: 8 })).resolves.toBeDefined()
})

test('regrouping: the fewest moves that help, accepted as a new version', async () => {
  const classId = await newClass()
  const { rows: table } = await classTable(viewer, { classId })
  const step = (i: number) => (i < 4 ? 4 : 8)
  await place(viewer, {
    classId,
    placements: table.map(({ id }, i) => ({
      pupilId: id,
      strand: 'add' as const,
      step: step(i),
      sureness: 'sure' as const,
    })),
  })
  const groups = await grouped(classId)
  // One child of each group stands in the other.
  const swapped = [
    { ...groups[0], pupils: [groups[1].pupils[0], ...groups[0].pupils.slice(1)] },
    { ...groups[1], pupils: [groups[0].pupils[0], ...groups[1].pupils.slice(1)] },
  ]
  await saveGroups(viewer, { classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups: swapped })
  const page = await groupsPage(viewer, { classId })
  const ids = page.children.map(({ id }) => id)
  const { request, present } = regroupingOf(ids, page.fit, page.groups, page.links, page.adultNear)
  const problem = problemOfRequest(request)
  const best = worthTheirMoves(problem, present, [...regroup(problem)].at(-1)!).at(-1)!
  expect(best.moves.map(({ child }) => ids[child]).sort()).toEqual(
    [groups[0].pupils[0], groups[1].pupils[0]].sort(),
  )
  // Groups keep their numbers, and with them name and shape.
  best.groups.forEach((group, g) =>
    expect(group.children.filter((child) => present[g].children.includes(child)).length).toBeGreaterThan(
      present[g].children.length / 2,
    ),
  )
})

test('the clock: pausing stops it, a second tap on Next skips nothing, the last Next ends the session', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const tap = (kind: Parameters<typeof tapClock>[1]['tap'], slot: number) =>
    tapClock(viewer, { classId, sessionId, tap: kind, slot })
  const left = async () => (await runPage(viewer, { classId }))!.session.leftMs
  process.env.ISLANDS_CLOCK = '2026-11-24T09:02:00Z'
  expect(await left()).toBe(10 * 60_000)
  await tap('pause', 0)
  process.env.ISLANDS_CLOCK = '2026-11-24T09:30:00Z'
  expect(await left()).toBe(10 * 60_000)
  await tap('resume', 0)
  await tap('minute-more', 0)
  expect(await left()).toBe(11 * 60_000)
  await tap('next', 0)
  await tap('next', 0)
  expect((await runPage(viewer, { classId }))!.session.slot).toBe(1)
  for (let slot = 1; slot < page.session.slots; slot++) await tap('next', slot)
  expect(await runPage(viewer, { classId })).toBeNull()
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
})

test('a mark for a child who was not at the station is refused', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const [here, other] = page.visits.filter(({ slot }) => slot === 0)
  await expect(recordMark(viewer, { classId, ...mark(here.id, other.children[0].id) })).rejects.toThrow(
    'was not at this station',
  )
  await expect(
    recordMark(viewer, { classId, ...mark(here.id, here.children[0].id, { judged: null }) }),
  ).rejects.toThrow('Nothing to record')
})

test('a stranger learns nothing of a class and changes nothing in it', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const visit = page.visits[0]
  const pupilId = visit.children[0].id
  const { view } = await planPage(viewer, { classId })
  const attempts: (() => Promise<unknown>)[] = [
    () => classTable(stranger, { classId }),
    () => addChildren(stranger, { classId, list: list('Ida') }),
    () => place(stranger, { classId, placements: [{ pupilId, strand: 'add', step: 1, sureness: 'sure' }] }),
    () => saveLinks(stranger, { classId, links: [] }),
    () => changeHouseStyle(stranger, { classId, style: {} }),
    () => groupsPage(stranger, { classId }),
    () => proposeGroups(stranger, { classId, gameId: 'landfall', count: 2 }),
    () => gameFit(stranger, { classId, gameId: 'landfall' }),
    () => planPage(stranger, { classId }),
    () => countOnShelf(stranger, { classId, item: 'die', count: 3 }),
    () => savePlan(stranger, { classId, sessionId: crypto.randomUUID(), plan: view!.plan }),
    () => runPage(stranger, { classId }),
    () => tapClock(stranger, { classId, sessionId, tap: 'next', slot: 0 }),
    () => markAbsent(stranger, { classId, sessionId, pupilId, absent: true }),
    () => recordMark(stranger, { classId, ...mark(visit.id, pupilId) }),
    () => progressPage(stranger, { classId }),
    () => childPage(stranger, { classId, pupilId }),
    () => harbourPage(stranger, { classId }),
  ]
  for (const attempt of attempts) await expect(attempt()).rejects.toThrow(NotHere)
})

test('one class can’t reach into another through the ids of its children or visits', async () => {
  const [own, other] = [await newClass(), await newClass()]
  const { page } = await running(other)
  const visit = page.visits[0]
  const foreign = visit.children[0].id
  await expect(
    place(viewer, {
      classId: own,
      placements: [{ pupilId: foreign, strand: 'add', step: 1, sureness: 'sure' }],
    }),
  ).rejects.toThrow(NotHere)
  await expect(recordMark(viewer, { classId: own, ...mark(visit.id, foreign) })).rejects.toThrow(NotHere)
  await expect(childPage(viewer, { classId: own, pupilId: foreign })).rejects.toThrow(NotHere)
})

test('a query or a use case without a viewer does not type-check', () => {
  // @ts-expect-error a query takes a scope, which only a viewer's membership gives
  expect(() => pupilsOf({ classId: 'x' })).toThrow()
  // @ts-expect-error a use case takes the viewer first
  void classTable({ classId: crypto.randomUUID() }).catch(() => undefined)
})

test('the games index: what fits the group, the room and the slot, at a level that the filter allows', async () => {
  const classId = await newClass()
  const groups = await grouped(classId)
  const all = await gamesPage(viewer, { classId })
  expect(all.rows).toHaveLength(48)
  const fitting = async (filter: object) =>
    (await gamesPage(viewer, { classId, ...filter })).rows.filter(({ fits }) => fits)
  for (const { needs } of await fitting({ needs: 'no-dice' })) expect(needs.join()).not.toMatch(/\bdie\b/)
  for (const { to } of await fitting({ to: 10 })) expect(to).toBeLessThanOrEqual(10)
  for (const { players } of await fitting({ players: 6 })) expect(players.max).toBeGreaterThanOrEqual(6)
  for (const { fitting: zone } of await fitting({ group: 0 }))
    expect(zone!.inZone * 2).toBeGreaterThanOrEqual(groups[0].pupils.length)
  expect((await fitting({ strand: 'time' })).map(({ id }) => id)).toContain('clock-cards')
  expect((await fitting({ slotMinutes: 3 })).length).toBeLessThan((await fitting({ slotMinutes: 20 })).length)
})

test('a game against the clock is not offered below Year 2', async () => {
  const offered = async (yearGroup: 'Year 1' | 'Year 2') => {
    const classId = crypto.randomUUID()
    await createClass(viewer, { classId, name: 'Tern', yearGroup, list: list(names.join('\n')) })
    return (await gamesPage(viewer, { classId })).rows.find(({ id }) => id === 'rising-tide')!.fits
  }
  expect(await offered('Year 1')).toBe(false)
  expect(await offered('Year 2')).toBe(true)
})

test('a game page says what choosing by chance costs, and refuses rules that make no sense', async () => {
  const classId = await newClass()
  const page = await gamePage(viewer, { classId, gameId: 'dice-run', levelId: 'dice-4' })
  expect(page.byChance!).toBeGreaterThan(page.analysis.set!.goes!.mean)
  const refused = await gamePage(viewer, {
    classId,
    gameId: 'squall',
    params: { length: 5, sectors: 3, penalty: [9] },
  })
  expect(refused.refused).toEqual(['A squall lies on or beyond the last square.'])
})

test('the first mark on a strand a child was not placed on begins it at the year group’s usual step', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const sessionId = crypto.randomUUID()
  const stations = [{ gameId: 'clock-cards', mode: 'own' as const }]
  await savePlan(viewer, { classId, sessionId, plan: { ...view!.plan, stations, slots: 1 } })
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const [visit] = (await runPage(viewer, { classId }))!.visits
  const [{ id: pupilId }] = visit.children
  await recordMark(viewer, { classId, ...mark(visit.id, pupilId, { judged: 'own' }) })
  const { strands } = await childPage(viewer, { classId, pupilId })
  const time = strands.find(({ strand }) => strand === 'time')!
  expect(time.estimate.observations).toBe(1)
  expect(time.band).toHaveLength(1)
})
