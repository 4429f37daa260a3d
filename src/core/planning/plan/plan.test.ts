import fc from 'fast-check'
import { games } from '../../games'
import { pairsAgain } from '../seating/partners'
import { checkPlan, whyNowhere } from './check'
import { makePlan } from './plan'
import { planInputSchema, planProblem, type PlanInput, type PlanProblem } from './problem'
import { planVisits, type Found } from './search'

const run = (problem: PlanProblem): Found => {
  const steps = planVisits(problem)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}

/** `n` groups of five, each station with one quiet game for everybody, the first led by an adult. */
const square = (n: number, change: object = {}) => {
  const groups = Array.from({ length: n }, (_, g) => ({
    id: `g${g}`,
    children: 4,
    known: games.map(({ id }) => id),
  }))
  const list = ['landfall', 'tower-bay', 'doubles-dash', 'perch', 'sand-steps', 'low-tide']
  return planInputSchema.parse({
    slots: n,
    groups,
    stations: Array.from({ length: n }, (_, s) => ({
      id: `s${s}`,
      mode: s === 0 ? 'adult-led' : 'own',
      places: 6,
    })),
    offers: Array.from({ length: n }, (_, s) => ({
      station: `s${s}`,
      game: list[s],
      success: Object.fromEntries(groups.map(({ id }) => [id, 0.8])),
    })),
    noiseLimit: 20,
    ...change,
  })
}

test('as many groups as stations and slots: a Latin square, each group at each station once', () => {
  for (const n of [2, 3, 4, 6]) {
    const { visits, nowhere, conflicts, costs, adults } = makePlan(square(n))
    expect(nowhere).toEqual([])
    expect(conflicts).toEqual([])
    // One adult, who is at the station that is led all the time.
    expect(adults.map(({ slot, station, adult }) => [slot, station, adult])).toEqual(
      Array.from({ length: n }, (_, slot) => [slot, 's0', 0]),
    )
    expect(costs.filter(({ rule }) => rule === 'station-again')).toEqual([])
    for (let slot = 0; slot < n; slot++)
      expect(new Set(visits.filter((visit) => visit.slot === slot).map(({ station }) => station)).size).toBe(
        n,
      )
    for (let group = 0; group < n; group++)
      expect(
        new Set(visits.filter((visit) => visit.group === `g${group}`).map(({ station }) => station)).size,
      ).toBe(n)
  }
})

const anyInput = fc
  .record({
    groups: fc.array(
      fc.record({ children: fc.integer({ min: 2, max: 7 }), known: fc.subarray(games.map(({ id }) => id)) }),
      { minLength: 2, maxLength: 5 },
    ),
    stations: fc.array(
      fc.record({
        mode: fc.constantFrom('adult-led', 'adult-near', 'own', 'digital'),
        places: fc.integer({ min: 3, max: 12 }),
        groups: fc.option(fc.integer({ min: 1, max: 2 }), { nil: undefined }),
      }),
      { minLength: 2, maxLength: 5 },
    ),
    offers: fc.array(
      fc.record({
        station: fc.nat(4),
        game: fc.constantFrom(...games.map(({ id }) => id)),
        success: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 5, maxLength: 5 }),
        finish: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
      }),
      { minLength: 2, maxLength: 12 },
    ),
    sessions: fc.integer({ min: 1, max: 2 }),
    slots: fc.integer({ min: 1, max: 3 }),
    adults: fc.integer({ min: 0, max: 2 }),
    noiseLimit: fc.integer({ min: 1, max: 8 }),
    inventory: fc.record({ die: fc.integer({ min: 0, max: 8 }), counter: fc.integer({ min: 0, max: 80 }) }),
    seed: fc.integer({ min: 1, max: 1000 }),
  })
  .map(({ groups, stations, offers, ...rest }) =>
    planInputSchema.parse({
      ...rest,
      groups: groups.map((group, g) => ({ ...group, id: `g${g}` })),
      stations: stations.map((station, s) => ({ ...station, id: `s${s}` })),
      offers: offers.map((offer) => ({
        ...offer,
        station: `s${offer.station % stations.length}`,
        success: Object.fromEntries(groups.map((_, g) => [`g${g}`, offer.success[g]])),
      })),
      tries: 1500,
    }),
  )

/** Every rule that must hold, read off the answer from scratch. */
function expectHeld(input: PlanInput) {
  const { visits, adults } = makePlan(input)
  const gameOf = (id: string) => games.find((game) => game.id === id)!
  const modeOf = (id: string) => input.stations.find((station) => station.id === id)!.mode
  const sizeOf = (id: string) => input.groups.find((group) => group.id === id)!.children
  for (let session = 0; session < input.sessions; session++)
    for (let slot = 0; slot < input.slots; slot++) {
      const now = visits.filter((visit) => visit.session === session && visit.slot === slot)
      expect(new Set(now.map(({ group }) => group)).size).toBe(now.length)
      const busy = new Set(now.map(({ station }) => station))
      for (const { id, places, groups = Infinity } of input.stations) {
        const here = now.filter(({ station }) => station === id)
        expect(here.reduce((sum, { group }) => sum + sizeOf(group), 0)).toBeLessThanOrEqual(places)
        expect(here.length).toBeLessThanOrEqual(groups)
      }
      const watched = [...busy].filter((id) => modeOf(id).startsWith('adult'))
      expect(watched.length).toBeLessThanOrEqual(input.adults)
      const there = adults.filter((place) => place.session === session && place.slot === slot)
      expect(there.map(({ station }) => station).sort()).toEqual(watched.sort())
      expect(new Set(there.map(({ adult }) => adult)).size).toBe(watched.length)
      expect(now.filter(({ game }) => gameOf(game).room.floor === 3).length).toBeLessThanOrEqual(1)
      const noise = [...busy].map((id) =>
        Math.max(...now.filter(({ station }) => station === id).map(({ game }) => gameOf(game).room.noise)),
      )
      expect(noise.reduce<number>((a, b) => a + b, 0)).toBeLessThanOrEqual(input.noiseLimit)
      for (const { game, station } of now)
        if (gameOf(game).room.adult) expect(modeOf(station)).toMatch(/^adult/)
    }
  for (const { id, known } of input.groups) {
    const shown = new Set<string>(known)
    for (const { game, station } of visits
      .filter(({ group }) => group === id)
      .sort((a, b) => a.session - b.session || a.slot - b.slot)) {
      if (modeOf(station).startsWith('adult')) shown.add(game)
      expect(shown.has(game)).toBe(true)
    }
  }
}

test('no plan breaks a rule that must hold', () => {
  fc.assert(fc.property(anyInput, expectHeld), { numRuns: 60 })
})

test('materials of all stations at once stay within the inventory', () => {
  // Perch for four as two pairs takes four dice; two groups at once would take eight.
  const input = square(2, {
    stations: [
      { id: 's0', mode: 'adult-led', places: 6 },
      { id: 's1', mode: 'own', places: 6 },
    ],
    offers: ['s0', 's1'].flatMap((station) =>
      ['perch', 'switchback']
        .slice(0, 1)
        .map((game) => ({ station, game, level: 'two-dice', success: { g0: 0.8, g1: 0.8 } })),
    ),
  })
  const groups = input.groups
  expect(makePlan({ ...input, groups, inventory: { die: 8 } }).nowhere).toEqual([])
  const short = makePlan({ ...input, groups, inventory: { die: 7 } })
  expect(short.nowhere).toHaveLength(2)
  expect(short.nowhere[0]).toMatchObject({ nothingOffered: false, rules: { materials: 2 } })
})

/** The least cost of all plans that break no hard rule, by going through them. */
function leastCost(problem: PlanProblem): number {
  const n = problem.input.groups.length
  const times = problem.input.sessions * problem.input.slots
  const visits = new Int32Array(times * n).fill(-1)
  let least = Infinity
  const place = (at: number) => {
    if (at === visits.length) {
      const { conflicts, cost } = checkPlan(problem, visits)
      if (conflicts.length === 0) least = Math.min(least, cost)
      return
    }
    for (const offer of [-1, ...problem.open[Math.floor(at / n)][at % n]]) {
      visits[at] = offer
      place(at + 1)
    }
    visits[at] = -1
  }
  place(0)
  return least
}

test('small plans cost as little as the best of all there are', () => {
  const small = anyInput.map((input) =>
    planInputSchema.parse({
      ...input,
      sessions: 1,
      slots: 2,
      groups: input.groups.slice(0, 2),
      offers: input.offers.slice(0, 6).map((offer) => ({
        ...offer,
        success: Object.fromEntries(Object.entries(offer.success).slice(0, 2)),
      })),
      tries: 6000,
    }),
  )
  fc.assert(
    fc.property(small, (input) => {
      const problem = planProblem(input)
      expect(run(problem).cost).toBeCloseTo(leastCost(problem), 9)
    }),
    { numRuns: 25, seed: 7 },
  )
})

test('what is pinned stays; what is pinned to where nothing is offered is refused', () => {
  const pin = { session: 0, slot: 1, group: 'g2', station: 's0' }
  const { visits } = makePlan(square(3, { pins: [pin] }))
  expect(visits.find(({ group, slot }) => group === 'g2' && slot === 1)!.station).toBe('s0')
  const perch = { session: 0, slot: 0, group: 'g0', station: 's1', game: 'perch' }
  expect(() => square(3, { pins: [pin, perch] })).toThrow('Nothing that is offered there')
})

test('a game comes again within the cool-down only where it is pinned, and then it costs nothing', () => {
  const groups = ['g0', 'g1'].map((id) => ({
    id,
    children: 4,
    known: games.map((game) => game.id),
    lastPlayed: { landfall: 2, 'tower-bay': 9 },
  }))
  const again = (pins: object[]) =>
    makePlan(square(2, { groups, pins })).costs.filter(({ rule }) => rule === 'game-again')
  // Landfall was played two school days ago; with as many stations as slots both groups meet it once.
  expect(again([])).toHaveLength(2)
  const pin = { session: 0, slot: 0, group: 'g0', station: 's0' }
  expect(again([pin])).toMatchObject([{ group: 'g1' }])
})

test('a group plays on its own only what it was shown, or meets near an adult before', () => {
  const plan = makePlan(
    square(2, {
      groups: [
        { id: 'g0', children: 4, known: ['landfall', 'tower-bay'] },
        { id: 'g1', children: 4, known: ['landfall'] },
      ],
    }),
  )
  expect(plan.visits.some(({ group, station }) => group === 'g1' && station === 's1')).toBe(false)
  expect(
    plan.nowhere.every(({ rules }) => rules['not-shown'] !== undefined || rules.places !== undefined),
  ).toBe(true)
  expect(plan.showFirst).toEqual([{ game: 'tower-bay', groups: ['g1'] }])
})

/** One group at one table where it plays Perch (in pairs and threes) or, in one set, Switchback. */
const partnersOf = (children: number, slots: number, change: object = {}) => {
  const names = Array.from({ length: children }, (_, child) => 'abcdefg'[child])
  return planInputSchema.parse({
    slots,
    coolDown: 0,
    groups: [{ id: 'g', children, pupils: names, known: games.map(({ id }) => id), ...change }],
    stations: [{ id: 's', mode: 'own', places: 12 }],
    offers: [{ station: 's', game: 'perch', level: 'two-dice', success: { g: 0.8 } }],
  })
}

test('nobody plays with the same partner twice running where that can be helped; where not, it is told', () => {
  const four = makePlan(partnersOf(4, 3))
  const pairs = four.visits.map(({ sets }) => (sets as string[][]).map((set) => set.join('')).sort())
  expect(new Set(pairs.map((slot) => slot.join(' ')))).toEqual(new Set(['ab cd', 'ac bd', 'ad bc']))
  expect(four.costs.filter(({ rule }) => rule === 'partner-again')).toEqual([])
  // Of five as 2 + 3 one pair of the three is together again.
  const five = makePlan(partnersOf(5, 3))
  expect(five.costs.filter(({ rule }) => rule === 'partner-again')).toMatchObject([
    { group: 'g', slot: 1 },
    { group: 'g', slot: 2 },
  ])
})

test('partners of the session before count; pairs that stay together are no breach', () => {
  const lastSets = [
    ['a', 'b'],
    ['c', 'd', 'e'],
  ]
  const again = ({ costs }: ReturnType<typeof makePlan>) =>
    costs.filter(({ rule }) => rule === 'partner-again').length
  const [visit] = makePlan(partnersOf(5, 1, { lastSets })).visits
  expect(pairsAgain(lastSets, visit.sets as string[][])).toHaveLength(1)
  expect(again(makePlan(partnersOf(5, 1)))).toBe(0)
  expect(again(makePlan(partnersOf(5, 1, { lastSets })))).toBe(1)
  const stay = makePlan(partnersOf(5, 2, { lastSets, together: lastSets }))
  expect(again(stay)).toBe(0)
  for (const { sets } of stay.visits) expect(sets).toEqual(lastSets)
})

test('what the seats of a plan come to is what the plan was told they cost', () => {
  const named = anyInput.map((input) =>
    planInputSchema.parse({
      ...input,
      groups: input.groups.map((group) => ({
        ...group,
        pupils: Array.from({ length: group.children }, (_, child) => `${group.id}-${child}`),
        lastSets: [[`${group.id}-0`, `${group.id}-1`]],
      })),
    }),
  )
  fc.assert(
    fc.property(named, (input) => {
      const { visits, costs } = makePlan(input)
      for (const { id, lastSets } of input.groups) {
        let before = lastSets
        let pairs = 0
        for (const visit of visits.filter(({ group }) => group === id)) {
          const sets = visit.sets as string[][]
          if (sets.length < 2) continue
          pairs += pairsAgain(before, sets).length
          before = sets
        }
        const told = costs.filter(({ rule, group }) => rule === 'partner-again' && group === id)
        expect(told.reduce((sum, { cost }) => sum + cost, 0)).toBeCloseTo(0.3 * pairs, 9)
      }
    }),
    { numRuns: 60, seed: 2 },
  )
})

test('the planner prefers one game for all in between where partners would have to meet again', () => {
  // Liked best is Perch, played in pairs and threes; Five Flags is played by up to six in one set.
  const gamesOf = (children: number) => {
    const { visits } = makePlan(
      planInputSchema.parse({
        slots: 2,
        coolDown: 0,
        groups: [{ id: 'g', children, known: ['perch', 'five-flags'] }],
        stations: ['table', 'carpet'].map((id) => ({ id, mode: 'own', places: 12 })),
        offers: [
          { station: 'table', game: 'perch', level: 'two-dice', success: { g: 0.8 }, liked: 1 },
          { station: 'carpet', game: 'perch', level: 'two-dice', success: { g: 0.8 }, liked: 1 },
          { station: 'carpet', game: 'five-flags', success: { g: 0.8 }, liked: 0.6 },
        ],
      }),
    )
    return visits.map(({ game }) => game).sort()
  }
  expect(gamesOf(5)).toEqual(['five-flags', 'perch'])
  // Four children have three ways to make two pairs.
  expect(gamesOf(4)).toEqual(['perch', 'perch'])
})

test('groups with most "not yet" meet the teacher first in the week', () => {
  const groups = ['g0', 'g1', 'g2'].map((id) => ({
    id,
    children: 4,
    notYet: id === 'g1' ? 0.9 : 0,
    known: games.map((game) => game.id),
  }))
  // One slot a session: only one group can be with the teacher each day.
  const { visits } = makePlan(square(3, { groups, slots: 1, sessions: 3, coolDown: 0 }))
  const withTeacher = visits.filter(({ station }) => station === 's0')
  expect(new Set(withTeacher.map(({ group }) => group)).size).toBe(3)
  expect(withTeacher.find(({ session }) => session === 0)!.group).toBe('g1')
})

test('a change by hand shows its conflicts on the cells', () => {
  const problem = planProblem(square(3))
  const { visits } = run(problem)
  const changed = visits.slice()
  // Two groups of four at one station of six places.
  changed[1] = changed[0]
  const { conflicts } = checkPlan(problem, changed)
  expect(conflicts).toEqual([{ rule: 'places', time: 0, groups: [0, 1] }])
  expect(checkPlan(problem, visits).conflicts).toEqual([])
  changed[1] = -1
  expect(whyNowhere(problem, changed, 0, 1).rules.places).toBeGreaterThan(0)
})

test('equal seeds give equal plans, and bad input names its field', () => {
  expect(makePlan(square(4))).toEqual(makePlan(square(4)))
  const paths = (change: object) => {
    const plain = JSON.parse(JSON.stringify(square(2))) as object
    return planInputSchema.safeParse({ ...plain, ...change }).error!.issues.map(({ path }) => path.join('.'))
  }
  expect(paths({ pins: [{ session: 4, slot: 0, group: 'nobody', station: 's0' }] })).toEqual([
    'pins.0.group',
    'pins.0.session',
  ])
  expect(paths({ slots: 0 })).toEqual(['slots'])
})

test('a station that takes one group gets no second one, however well it suits it', () => {
  const input = square(3)
  const best = input.stations[0].id
  const { visits } = makePlan({
    ...input,
    stations: input.stations.map((station) => ({ ...station, places: 60, groups: 1 })),
    offers: input.offers.map((offer) => ({
      ...offer,
      success: Object.fromEntries(
        Object.keys(offer.success).map((group) => [group, offer.station === best ? 0.8 : 0.2]),
      ),
    })),
  })
  for (const slot of [0, 1, 2]) {
    const stations = visits.filter((visit) => visit.slot === slot).map(({ station }) => station)
    expect(new Set(stations).size).toBe(stations.length)
  }
})
