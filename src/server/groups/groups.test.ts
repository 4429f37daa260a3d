import { classTable, place, saveLinks } from '../classes'
import { ownBand } from '@/core/evidence/fit'
import { inBand } from '@/core/grouping/problem/fit-cost'
import { allRegroupings } from '@/core/grouping/regrouping/regrouping'
import { regroupingRequest } from '@/core/grouping/regrouping/request'
import { groupsPage, proposeGroups, saveGroups } from './groups'
import { grouped, newClass, openTestSchool, viewer } from '../testing/school'

openTestSchool()

test('children who need an adult near are grouped where one is, and stay so', async () => {
  const classId = await newClass()
  const { rows: table } = await classTable(viewer, { classId })
  const near = [table[0].id, table.at(-1)!.id]
  await saveLinks(viewer, { classId, links: [], adultNear: near })
  const made = await proposeGroups(viewer, { classId, gameId: 'landfall', count: 2 })
  expect(made.groups[0]).toMatchObject({ withAdult: true })
  expect(made.groups[0].pupils).toEqual(expect.arrayContaining(near))
  expect((await groupsPage(viewer, { classId })).adultNear.sort()).toEqual([...near].sort())
  expect((await classTable(viewer, { classId })).rows.filter(({ adultNear }) => adultNear)).toHaveLength(2)
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
  expect(groups.some(({ pupils }) => pupils.includes(a.id) && pupils.includes(b.id))).toBe(false)
  await expect(proposeGroups(viewer, { classId, gameId: 'landfall', count: 8 })).resolves.toBeDefined()
})

test('regrouping: the fewest moves that help, accepted as a new version', async () => {
  const classId = await newClass()
  const { rows: table } = await classTable(viewer, { classId })
  const step = (i: number) => (i < 4 ? 'take-away-10' : 'count-on-20')
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
  const request = regroupingRequest(ids, page.fits.landfall, page.standing.groups, page.links, page.adultNear)
  const best = allRegroupings(request, page.standing.groups).at(-1)!
  expect(best.moves.map(({ pupil }) => pupil).sort()).toEqual(
    [groups[0].pupils[0], groups[1].pupils[0]].sort(),
  )
  // Groups keep their numbers, and with them name and shape.
  best.groups.forEach((group, g) =>
    expect(
      group.pupils.filter((child) => page.standing.groups[g].pupils.includes(child)).length,
    ).toBeGreaterThan(page.standing.groups[g].pupils.length / 2),
  )
})

test('games to group by come by how many of the class they fit, with the number', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { games, fits: byGame } = await groupsPage(viewer, { classId })
  const fits = games.map((game) => game.fits)
  expect(fits).toEqual([...fits].sort((a, b) => b - a))
  expect(fits[0]).toBeGreaterThan(fits.at(-1)!)
  // That of the game at hand is what its own predictions say.
  const inZone = Object.values(byGame.landfall.success).filter((row) =>
    row.some((share) => inBand(share, ownBand)),
  )
  expect(games.find(({ id }) => id === 'landfall')!.fits).toBe(inZone.length)
})

test('a child of whom nothing was seen has a span where it may well stand, around what is expected', async () => {
  const classId = await newClass()
  const { fits, children } = await groupsPage(viewer, { classId })
  const { spans, success, notKnown } = fits.landfall
  expect(notKnown.sort()).toEqual(children.map(({ id }) => id).sort())
  for (const id of notKnown)
    success[id].forEach((expected, level) => {
      const { low, high } = spans[id]
      expect(low[level]).toBeLessThan(high[level])
      expect(low[level]).toBeLessThanOrEqual(expected)
      expect(high[level]).toBeGreaterThanOrEqual(expected)
    })
})
