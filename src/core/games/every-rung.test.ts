import { measured } from '../analysis/testing/measured'
import { expectedSuccess, ownBand } from '../evidence/fit'
import { markedStep } from '../skills/marked-step'
import { logistic } from '../evidence/observation'
import { inBand } from '../grouping/problem/fit-cost'
import { stepIndex, strandOf, strands, timeInWords, type StrandId } from '../skills'
import { timesOnCards } from '../things'
import { games } from './index'
import { go, start } from './testing/script'

const levels = games.flatMap((game) =>
  game.levels.map(({ id }) => ({ game, id, practised: measured(game.id, id) })),
)

test('every rung of every ladder has a level that practises it, or is marked there', () => {
  // In a tenth of what a child works out, or named by the game.
  const worth = 0.1
  const practised = new Set<string>()
  for (const {
    practised: { steps, marked },
  } of levels) {
    for (const { strand, step, share } of steps) if (share >= worth) practised.add(`${strand} ${step}`)
    const { strand, step } = markedStep(marked)
    practised.add(`${strand} ${step}`)
  }
  const bare = strands.flatMap(({ id, steps }) =>
    steps.map((step) => `${id} ${step.id}`).filter((rung) => !practised.has(rung)),
  )
  expect(bare).toEqual([])
})

test('every level asks for the step it is marked at: a tenth of its items are of that very step, a fifth of it or a harder one', () => {
  // Shares are sums of many numbers: what is a tenth but for rounding is a tenth.
  const rounding = 1e-9
  for (const { game, id, practised } of levels) {
    const { strand, step } = markedStep(practised.marked)
    const at = stepIndex({ strand, step })
    const ofStrand = practised.steps.filter((one) => one.strand === strand)
    const there = ofStrand.find((one) => one.step === step)?.share ?? 0
    const from = ofStrand.reduce((sum, one) => sum + (stepIndex(one) >= at ? one.share : 0), 0)
    expect([game.id, id, step, there >= 0.1 - rounding, from >= 0.2 - rounding]).toEqual([
      game.id,
      id,
      step,
      true,
      true,
    ])
  }
})

/** A child who is as far along every ladder as an ability on addition is along that one: right alone by strand and step. */
function evenlyAlong(ability: number): Record<StrandId, number[]> {
  const top = (id: StrandId) => strandOf(id).steps.at(-1)!.difficulty
  return Object.fromEntries(
    strands.map(({ id, steps }) => [
      id,
      steps.map(({ difficulty }) => logistic((ability * top(id)) / top('add') - difficulty)),
    ]),
  ) as Record<StrandId, number[]>
}

test.each([
  ['counting all to ten', 3, 15],
  ['taking away within ten', 6, 28],
  ['complements to ten', 10.5, 31],
  ['make ten and near doubles', 13.5, 29],
])('whoever works at %s (%d logits) finds a level in its zone in %d games at least', (_, ability, least) => {
  const rightAlone = evenlyAlong(ability)
  const suiting = levels.filter(({ practised: { steps } }) =>
    inBand(expectedSuccess(steps, rightAlone), ownBand),
  )
  expect(new Set(suiting.map(({ game }) => game.id)).size).toBeGreaterThanOrEqual(least)
})

/** All numbers said until the count is over. */
function counted(level: string): { said: number[]; from: number[] } {
  let state = start('skip-lines', { level })
  const said: number[] = []
  const from: number[] = []
  while (!state.ended) {
    const { next, items } = go('skip-lines', state, [])
    const item = items[0] as { op: string; from: number; answer: number }
    said.push(item.answer)
    from.push(item.from)
    state = next as typeof state
  }
  return { said, from }
}

test('Skip Lines in ones: up to five and back, one number for a step', () => {
  const { said, from } = counted('ones-5')
  expect(said).toEqual([1, 2, 3, 4, 5, 4, 3, 2, 1, 0])
  expect(from).toEqual([0, 1, 2, 3, 4, 5, 4, 3, 2, 1])
})

test('Skip Lines over a hundred: 291 to 310, from where the line begins', () => {
  const { said } = counted('over-hundreds')
  expect(said).toHaveLength(20)
  expect([said[0], said[8], said[9], said.at(-1)]).toEqual([291, 299, 300, 310])
})

test.each([
  ['ones-5', 'back-5'],
  ['ones-10', 'back-10'],
  ['ones-20', 'back-20'],
  ['over-tens', 'back-100'],
  ['to-120', 'count-120'],
  ['over-hundreds', 'count-1000'],
  ['fives-100', 'fives-100'],
  ['twos-100', 'twos-100'],
])('Skip Lines %s is marked at %s', (level, step) => {
  expect(markedStep(measured('skip-lines', level).marked).step).toBe(step)
})

test.each([
  ['doubles-dash', 'to-6', 'doubles-10'],
  ['perch', 'doubles-20', 'doubles-20'],
  ['trade-up', 'five-tens', 'trade-ten'],
  ['lantern-grid', 'to-10', 'count-set-10'],
  ['switchback', 'call-10', 'count-100'],
  ['tens-catch', 'to-5', 'parts-of-5'],
  ['tens-catch', 'to-10', 'complements-10'],
  ['rising-tide', 'bonds-10', 'recall-10'],
  ['door-cards', 'facts-5', 'recall-5'],
  ['point-fast', 'write-20', 'write-20'],
  ['quay-stall', 'change', 'change-20'],
])('%s %s is marked at %s', (id, level, step) => {
  expect(markedStep(measured(id, level).marked).step).toBe(step)
})

test('Trade Up with hundreds: 80 and 5 tens more is 130: ten tens are traded', () => {
  const state = { ...start('trade-up', { level: 'three-hundreds' }), positions: [80] }
  const { items, events } = go('trade-up', state, [2, 3])
  expect(items).toEqual([
    { op: 'add', a: 80, b: 50, answer: 130 },
    { op: 'tens', tens: 13, ones: 0, answer: 130 },
  ])
  expect(events).toContainEqual({ kind: 'took', player: 0, cards: [100] })
  expect(events).toContainEqual({ kind: 'built', player: 0, cubes: 5, space: 3 })
})

test('Pebble Count in tens and ones: 47 is eleven pieces, not forty-seven', () => {
  const { items, events } = go('pebble-count', start('pebble-count', { level: 'tens-ones' }), [47])
  expect(items).toContainEqual({ op: 'count', answer: 47 })
  expect(events).toContainEqual({ kind: 'built', player: 0, cubes: 11, space: 47 })
})

test('Buoy Bowl counts sets that lie there, nothing is counted out', () => {
  const { items } = go('buoy-bowl', start('buoy-bowl'), [3])
  expect(items).toEqual([
    { op: 'count', answer: 3, set: true },
    { op: 'count', answer: 2, set: true },
  ])
})

test('time cards by five minutes: two to an hour, each kind of time three times, none told by quarters', () => {
  const times = timesOnCards(5)
  expect(times.map((minutes) => Math.floor(minutes / 60))).toEqual(
    Array.from({ length: 24 }, (_, i) => Math.floor(i / 2)),
  )
  const minutes = times.map((time) => time % 60)
  for (const minute of [5, 10, 20, 25, 35, 40, 50, 55])
    expect(minutes.filter((one) => one === minute)).toHaveLength(3)
  expect(timesOnCards(15)).toHaveLength(48)
})

test('times by five minutes as they are said', () => {
  expect([timeInWords(4, 20), timeInWords(4, 40), timeInWords(12, 55), timeInWords(4, 7)]).toEqual([
    '20 past 4',
    '20 to 5',
    '5 to 1',
    '4:07',
  ])
})
