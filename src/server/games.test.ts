import { inBand } from '@/core/grouping/fit-cost'
import { fittingBand } from './children'
import { createClass } from './classes'
import { gamePage, gamesPage } from './games'
import { gameFit } from './groups/groups'
import { grouped, list, names, newClass, openTestSchool, viewer } from './testing/school'

openTestSchool()

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

test('a game against the clock is not offered below Year 2', async () => {
  const offered = async (yearGroup: 'Year 1' | 'Year 2') => {
    const classId = crypto.randomUUID()
    await createClass(viewer, { classId, name: 'Tern', yearGroup, list: list(names.join('\n')) })
    return (await gamesPage(viewer, { classId })).rows.find(({ id }) => id === 'rising-tide')!.fits
  }
  expect(await offered('Year 1')).toBe(false)
  expect(await offered('Year 2')).toBe(true)
})

/** The page once all of it is worked out. */
async function whole(ask: () => ReturnType<typeof gamePage>) {
  for (;;) {
    const page = await ask()
    const { figures, byChance } = page
    if (figures.state === 'done' && byChance !== null) return { ...page, figures }
  }
}

test('a game page says what choosing by chance costs, and refuses rules that make no sense', async () => {
  const classId = await newClass()
  const page = await whole(() => gamePage(viewer, { classId, gameId: 'dice-run', levelId: 'dice-4' }))
  expect(page.byChance!).toBeGreaterThan(page.figures.value.set!.goes!.mean)
  const refused = await gamePage(viewer, {
    classId,
    gameId: 'squall',
    params: { length: 5, sectors: 3, penalty: [9] },
  })
  expect(refused.refused).toEqual(['A squall lies on or beyond the last square.'])
})
