import { classTable, setLeft } from '../classes'
import { groupsPage, saveGroups } from '../groups/groups'
import { eraseChild } from '../keeping/erase'
import { planPage, savePlan } from '../plan/plan'
import { runPage, tapClock } from '../run'
import { NotHere } from '../use-case'
import { grouped, newClass, openTestSchool, planned, rowsOf, viewer } from '../testing/school'
import { discardDraft, keepDraft } from './drafts'

openTestSchool()

const id = () => crypto.randomUUID()

/** A class with groups in use, and those groups with all but one child in the first. */
async function onTheTable() {
  const classId = await newClass()
  await grouped(classId)
  const { standing } = await groupsPage(viewer, { classId })
  const [first, second] = standing.groups
  const changed = {
    ...standing,
    groups: [
      { ...first, pupils: [...first.pupils, ...second.pupils.slice(1)] },
      { ...second, pupils: second.pupils.slice(0, 1) },
    ],
  }
  const take = (follows: string | null, steps: Parameters<typeof keepDraft>[1]['steps'], revision = id()) =>
    keepDraft(viewer, { classId, kind: 'groups', follows, revision, before: standing, steps } as Parameters<
      typeof keepDraft
    >[1])
  return { classId, standing, changed, take }
}

describe('groups on the table', () => {
  test('a step is found again by whoever opens the place, and can be taken back there', async () => {
    const { classId, standing, changed, take } = await onTheTable()
    expect((await groupsPage(viewer, { classId })).draft).toBeNull()
    const revision = id()
    expect(await take(null, [{ do: changed }], revision)).toEqual({ kept: true, savedAt: '09:00' })
    const { draft } = await groupsPage(viewer, { classId })
    expect(draft).toEqual({
      history: { past: [standing], now: changed, future: [] },
      revision,
      savedAt: '09:00',
    })
    await take(revision, ['undo'])
    expect((await groupsPage(viewer, { classId })).draft?.history).toEqual({
      past: [],
      now: standing,
      future: [changed],
    })
  })

  test('what is sent twice is done once', async () => {
    const { classId, changed, take } = await onTheTable()
    const revision = id()
    await take(null, [{ do: changed }], revision)
    expect(await take(null, [{ do: changed }], revision)).toMatchObject({ kept: true })
    expect((await groupsPage(viewer, { classId })).draft?.history.past).toHaveLength(1)
  })

  test('steps that follow another draft are left out, and the one that lies here is told', async () => {
    const { classId, standing, changed, take } = await onTheTable()
    const revision = id()
    await take(null, [{ do: changed }], revision)
    const late = await take(null, [{ do: standing }])
    expect(late).toMatchObject({ kept: false, there: { revision, history: { now: changed } } })
    expect((await groupsPage(viewer, { classId })).draft?.history.now).toEqual(changed)
  })

  test('two devices at once: one is kept, the other is told', async () => {
    const { changed, take } = await onTheTable()
    const both = await Promise.all([take(null, [{ do: changed }]), take(null, [{ do: changed }])])
    expect(both.map(({ kept }) => kept).sort()).toEqual([false, true])
  })

  test('groups taken into use leave no draft; a late step of another tab is told that it is gone', async () => {
    const { classId, standing, changed, take } = await onTheTable()
    const revision = id()
    await take(null, [{ do: changed }], revision)
    await saveGroups(viewer, { classId, groupingId: id(), gameId: 'landfall', groups: changed.groups })
    expect((await groupsPage(viewer, { classId })).draft).toBeNull()
    expect(await take(revision, [{ do: standing }])).toEqual({ kept: false, there: null })
  })

  test('discarded: the table shows what is in use', async () => {
    const { classId, changed, take } = await onTheTable()
    await take(null, [{ do: changed }])
    await discardDraft(viewer, { classId, kind: 'groups' })
    expect((await groupsPage(viewer, { classId })).draft).toBeNull()
  })

  test('a child who has left is on no table; one who is erased takes its drafts along', async () => {
    const { classId, changed, take } = await onTheTable()
    await take(null, [{ do: changed }])
    const { rows } = await classTable(viewer, { classId })
    const [left, erased] = rows
    await setLeft(viewer, { classId, pupilId: left.id, left: true })
    const { draft } = await groupsPage(viewer, { classId })
    expect(JSON.stringify(draft)).not.toContain(left.id)
    const before = await rowsOf('draft')
    process.env.ISLANDS_BACKUPS = process.env.ISLANDS_FOLDER + '-backups'
    await eraseChild(viewer, { classId, pupilId: erased.id })
    expect(await rowsOf('draft')).toBe(before - 1)
  })

  test('a draft with a child of another class, or a level the game lacks, is refused', async () => {
    const { changed, take } = await onTheTable()
    const stranger = { ...changed, locked: [id()] }
    await expect(take(null, [{ do: stranger }])).rejects.toThrow(NotHere)
    const lost = { ...changed, groups: changed.groups.map((group) => ({ ...group, levelId: 'nowhere' })) }
    await expect(take(null, [{ amend: lost }])).rejects.toThrow('no such level')
  })
})

describe('a plan on the table', () => {
  test('is found again, with the game that was put in it, and is no draft any more once it is ready', async () => {
    const classId = await newClass()
    await grouped(classId)
    const { view, standing, added } = await planPage(viewer, { classId, add: 'quick-look' })
    expect(added).toBe(true)
    const { groupingId, plan } = view!
    await keepDraft(viewer, {
      classId,
      kind: 'plan',
      follows: null,
      revision: id(),
      before: standing!,
      steps: [{ do: { groupingId, plan } }],
    })
    // Another game put in the plan later leaves the first where it is.
    const later = await planPage(viewer, { classId, add: 'five-flags' })
    expect(later.view!.plan.stations.map(({ gameId }) => gameId)).toEqual([
      ...plan.stations.map(({ gameId }) => gameId),
      'five-flags',
    ])
    const gameIds = ({ plan }: typeof standing & object) => plan.stations.map(({ gameId }) => gameId)
    expect(gameIds(later.standing!)).toEqual(gameIds(standing!))
    await savePlan(viewer, { classId, sessionId: id(), groupingId, plan })
    expect((await planPage(viewer, { classId })).draft).toBeNull()
  })

  test('goes on with the groups of now', async () => {
    const classId = await newClass()
    const groups = await grouped(classId)
    const { view, standing } = await planPage(viewer, { classId })
    const { groupingId, plan } = view!
    await keepDraft(viewer, {
      classId,
      kind: 'plan',
      follows: null,
      revision: id(),
      before: standing!,
      steps: [{ do: { groupingId, plan: { ...plan, slotMinutes: 17 } } }],
    })
    await saveGroups(viewer, { classId, groupingId: id(), gameId: 'landfall', groups })
    const now = await planPage(viewer, { classId })
    expect(now.view!.plan.slotMinutes).toBe(17)
    expect(now.view!.groupingId).not.toBe(groupingId)
    expect(now.view!.visits).toHaveLength(view!.visits.length)
  })

  test('left for days, it is planned for the next school day', async () => {
    const classId = await newClass()
    await grouped(classId)
    const { view, standing } = await planPage(viewer, { classId })
    const { groupingId, plan } = view!
    await keepDraft(viewer, {
      classId,
      kind: 'plan',
      follows: null,
      revision: id(),
      before: standing!,
      steps: [{ do: { groupingId, plan: { ...plan, day: '2026-11-24' } } }],
    })
    process.env.ISLANDS_CLOCK = '2026-11-28T09:00:00Z'
    const { view: later, draft } = await planPage(viewer, { classId })
    process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
    expect(later!.plan.day).toBe('2026-11-30')
    expect(draft!.savedAt).toBe('Tue 24 Nov, 09:00')
  })

  test('changed after it was made ready: the session says so, and starts without the changes', async () => {
    const classId = await newClass()
    await grouped(classId)
    const sessionId = await planned(classId)
    expect((await runPage(viewer, { classId }))!.changesWait).toBe(false)
    const { view, standing } = await planPage(viewer, { classId })
    const { groupingId, plan } = view!
    await keepDraft(viewer, {
      classId,
      kind: 'plan',
      follows: null,
      revision: id(),
      before: standing!,
      steps: [{ do: { groupingId, plan: { ...plan, slotMinutes: 20 } } }],
    })
    const page = (await runPage(viewer, { classId }))!
    expect(page).toMatchObject({ changesWait: true, session: { slotMinutes: 12 } })
    await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
    const running = (await runPage(viewer, { classId }))!
    expect(running).toMatchObject({ changesWait: false, session: { slotMinutes: 12 } })
    // Nothing of it is left for the plan of tomorrow.
    await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
    expect((await planPage(viewer, { classId })).draft).toBeNull()
  })

  test('a plan for groups of another class is refused', async () => {
    const classId = await newClass()
    await grouped(classId)
    await planned(classId)
    const { view } = await planPage(viewer, { classId })
    const { groupingId, plan } = view!
    const foreign = { groupingId: id(), plan }
    await expect(
      keepDraft(viewer, {
        classId,
        kind: 'plan',
        follows: null,
        revision: id(),
        before: { groupingId, plan },
        steps: [{ do: foreign }],
      }),
    ).rejects.toThrow(NotHere)
  })
})
