import { mayOffer } from '@/core/evidence/begun'
import { gameOf, games, usualLevel } from '@/core/games'
import { textsOf } from '@/core/games/texts'
import { placedStrands } from '@/core/skills'
import { inBand } from '@/core/grouping/problem/fit-cost'
import { fittingBand } from '../children'
import { createClass } from '../classes'
import { levelMeasure } from '../figures'
import { gamePage } from './game'
import { gamesPage } from './list'
import { changeHouseStyle } from '../house-style'
import { picturesOf } from '../pictures'
import { gameFit, groupsPage } from '../groups/groups'
import { grouped, list, names, newClass, openTestSchool, viewer } from '../testing/school'

openTestSchool()

test('the games index: what fits the group, the room and the slot, at a level that the filter allows', async () => {
  const classId = await newClass()
  const groups = await grouped(classId)
  const all = await gamesPage(viewer, { classId })
  expect(all.rows).toHaveLength(50)
  const fitting = async (filter: object) =>
    (await gamesPage(viewer, { classId, ...filter })).rows.filter(({ against }) => against.length === 0)
  for (const { needs } of await fitting({ needs: 'no-dice' })) expect(needs.join()).not.toMatch(/\bdie\b/)
  for (const { to } of await fitting({ to: 10 })) expect(to).toBeLessThanOrEqual(10)
  for (const { players } of await fitting({ players: 6 })) expect(players.max).toBeGreaterThanOrEqual(6)
  const { pupils } = groups[0]
  for (const { id, levelId, fitting: zone } of await fitting({ group: 0 })) {
    // Nobody was seen yet, and so nobody is said to be in the zone; it is by where they were placed that it fits.
    expect(zone).toEqual({ fitting: 0, known: 0, notKnown: pupils.length })
    const { levels, success } = await gameFit(viewer, { classId, gameId: id })
    const level = levels.findIndex((one) => one.id === levelId)
    const inZone = pupils.filter((child) => inBand(success[child][level], fittingBand))
    expect(inZone.length * 2).toBeGreaterThanOrEqual(pupils.length)
  }
  expect((await fitting({ strand: 'time' })).map(({ id }) => id)).toContain('clock-cards')
  expect((await fitting({ slotMinutes: 3 })).length).toBeLessThan((await fitting({ slotMinutes: 20 })).length)
})

test('for no group in particular a game stands at its usual level, or the first that the filter allows', async () => {
  const classId = await newClass()
  const levelOf = async (filter: object) =>
    (await gamesPage(viewer, { classId, ...filter })).rows.find(({ id }) => id === 'landfall')!.levelId
  expect(await levelOf({})).toBe('to-10-die')
  expect(await levelOf({ to: 5 })).toBe('to-5-cards')
})

test('a strand that the class leaves aside has no levels among its games, unless it is asked for by its name', async () => {
  const classId = await newClass()
  const ofClocks = async (filter: object = {}) =>
    (await gamesPage(viewer, { classId, ...filter })).rows.find(({ id }) => id === 'clock-cards')!.against
      .length === 0
  expect(await ofClocks({ slotMinutes: 20 })).toBe(true)
  await changeHouseStyle(viewer, { classId, style: { leftAside: ['time'] } })
  expect(await ofClocks({ slotMinutes: 20 })).toBe(false)
  expect(await ofClocks({ slotMinutes: 20, strand: 'time' })).toBe(true)
})

test('a game against the clock is not offered below Year 2', async () => {
  const offered = async (yearGroup: 'Year 1' | 'Year 2') => {
    const classId = crypto.randomUUID()
    await createClass(viewer, { classId, name: 'Tern', yearGroup, list: list(names.join('\n')) })
    return (
      (await gamesPage(viewer, { classId })).rows.find(({ id }) => id === 'rising-tide')!.against.length === 0
    )
  }
  expect(await offered('Year 1')).toBe(false)
  expect(await offered('Year 2')).toBe(true)
})

/** The page once all of it is worked out. */
async function whole(ask: () => ReturnType<typeof gamePage>) {
  for (;;) {
    const page = await ask()
    const { analysis, byChance } = page.figures!
    if (analysis.state === 'done' && byChance !== null) return { byChance, analysis: analysis.value }
  }
}

test('a game page says what choosing by chance costs, and refuses rules that make no sense', async () => {
  const classId = await newClass()
  const page = await whole(() =>
    gamePage(viewer, { classId, gameId: 'dice-run', levelId: 'dice-4', view: 'figures' }),
  )
  expect(page.byChance).toBeGreaterThan(page.analysis.set!.goes!.mean)
  const refused = await gamePage(viewer, {
    classId,
    gameId: 'squall',
    params: { length: 5, sectors: 3, penalty: [9] },
  })
  expect(refused.refused).toEqual(['A squall lies on or beyond the last square.'])
})

test('the pictures of a level: its table, and one for each step of a child or its sign; of rules made by hand too', async () => {
  const { params } = usualLevel(gameOf('landfall'))
  const level = (await picturesOf('landfall', params, true))!
  const { steps } = textsOf('landfall', params)
  expect(level.steps).toHaveLength(steps.length)
  expect(level.steps.filter((step) => step !== null).length).toBeGreaterThan(2)
  expect(level.table.scene.things.length).toBeGreaterThan(0)
  const longer = (await picturesOf('landfall', { ...params, goal: 14 }, false))!
  expect(longer.table.layout.spots.length).toBe(level.table.layout.spots.length + 4)
})

test('a Reception class of whom nothing is known is offered no products, and still has games enough', () => {
  const child = {
    followed: ['add' as const, 'how-many' as const, 'numerals' as const],
    yearGroup: 'Reception' as const,
  }
  const offered = games.filter((game) =>
    game.levels.some(({ id }) => mayOffer(levelMeasure(game.id, id), child)),
  )
  expect(offered.length).toBeGreaterThanOrEqual(14)
  for (const game of offered)
    for (const { id } of game.levels) {
      const measure = levelMeasure(game.id, id)
      const products = measure.steps
        .filter(({ strand }) => strand === 'facts')
        .reduce((sum, { share }) => sum + share, 0)
      if (mayOffer(measure, child)) expect([game.id, id, products < 0.2]).toEqual([game.id, id, true])
    }
})

test('nothing fits: each game says why, and giving up the wish that is named brings as many games as are told', async () => {
  const classId = await newClass()
  await grouped(classId)
  const fitting = ({ rows }: Awaited<ReturnType<typeof gamesPage>>) =>
    rows.filter(({ against }) => against.length === 0).length
  const asked = { classId, strand: 'time' as const, noise: 0, needs: 'no-print' as const }
  const none = await gamesPage(viewer, asked)
  expect(fitting(none)).toBe(0)
  const against = (gameId: string) => none.rows.find(({ id }) => id === gameId)!.against
  expect(against('landfall')).toEqual(expect.arrayContaining(['strand', 'noise']))
  expect(against('rising-tide')).toContain('year')
  expect(none.instead.length).toBeGreaterThan(0)
  const givenUp = { strand: null, slotMinutes: 25, needs: 'any', noise: 3 }
  for (const { wish, games: brought } of none.instead) {
    expect(Object.keys(givenUp)).toContain(wish)
    const without = { ...asked, [wish]: givenUp[wish as keyof typeof givenUp] }
    expect([wish, fitting(await gamesPage(viewer, without))]).toEqual([wish, brought])
  }
  // Where something fits nobody asks.
  expect((await gamesPage(viewer, { classId })).instead).toEqual([])
})

test('a game of which no level may be offered to a Reception class fits nobody there, nor is it in the index', async () => {
  const classId = crypto.randomUUID()
  await createClass(viewer, { classId, name: 'Tern', yearGroup: 'Reception', list: list(names.join('\n')) })
  const child = { followed: placedStrands, yearGroup: 'Reception' as const }
  const tooEarly = games
    .filter(({ id, levels }) => levels.every((level) => !mayOffer(levelMeasure(id, level.id), child)))
    .map(({ id }) => id)
  expect(tooEarly.length).toBeGreaterThan(2)
  const { games: byFit } = await groupsPage(viewer, { classId })
  expect(byFit.filter(({ id, fits }) => tooEarly.includes(id) && fits > 0)).toEqual([])
  const { rows } = await gamesPage(viewer, { classId, slotMinutes: 40 })
  expect(rows.filter(({ id, against }) => tooEarly.includes(id) && against.length === 0)).toEqual([])
})

test('the page of a game puts a child at a level only where it is in its zone; whom none fits is told with why', async () => {
  const classId = crypto.randomUUID()
  await createClass(viewer, { classId, name: 'Tern', yearGroup: 'Reception', list: list(names.join('\n')) })
  let [fitting, none] = [0, 0]
  for (const gameId of ['five-flags', 'hidden-corner', 'landfall', 'pebble-count'] as const) {
    const { levels, noLevel } = await gamePage(viewer, { classId, gameId })
    const { tooHard, tooEasy, between } = noLevel
    const placed = levels.flatMap(({ children }) => children)
    // Everybody once.
    expect([...placed, ...tooHard, ...tooEasy, ...between].sort()).toEqual([...names].sort())
    fitting += placed.length
    none += names.length - placed.length
    for (const { id, children } of levels)
      if (levelMeasure(gameId, id).marked.some(({ strand }) => strand === 'facts'))
        expect([gameId, id, children]).toEqual([gameId, id, []])
  }
  expect(fitting).toBeGreaterThan(0)
  expect(none).toBeGreaterThan(0)
})
