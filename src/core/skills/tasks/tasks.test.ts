import { seededChance } from '../../chance/chance'
import { isTrue, largestNumber, placeOf, strands, type PracticeItem } from '../index'
import { taskFor } from './index'

const places = strands.flatMap(({ id, steps }) =>
  steps.map((step) => ({ strand: id, step: step.id, of: step })),
)

test('every step has tasks that are true, in its range, of its own step, and with fresh numbers', () => {
  for (const [number, { strand, step, of }] of places.entries()) {
    const chance = seededChance(number + 1)
    const said = new Set<string>()
    for (let round = 0; round < 40; round++) {
      const { item, do: needed, say } = taskFor({ strand, step }, chance)
      said.add(`${needed} ${say}`)
      expect({ of: of.id, item, ok: isTrue(item) }).toMatchObject({ ok: true })
      expect(largestNumber(item)).toBeLessThanOrEqual(Math.max(of.range.to, 12))
      expect({ of: of.id, place: placeOf(item) }).toEqual({ of: of.id, place: { strand, step } })
    }
    // Counting to five and patterns have only one or two ways to be asked.
    if (!/^(count-5|back-5|pattern|tens-)/.test(of.id)) expect(said.size).toBeGreaterThan(2)
  }
})

test('tasks say what to do and what to say', () => {
  const task = (strand: (typeof places)[number]['strand'], id: string) =>
    taskFor({ strand, step: id }, seededChance(2))
  expect(task('add', 'count-on-10')).toMatchObject({
    do: expect.stringMatching(/^Hide \d counters? under a cloth; lay \d counters? beside it\.$/) as string,
    say: expect.stringMatching(/^\d under here\. \d more\. How many altogether\?$/) as string,
  })
  expect(task('time', 'quarter').say).toMatch(/^Set the clock to quarter (past|to) \d+\.$/)
  expect(task('pattern', 'pattern-abc').do).toMatch(/^Lay cubes: red, blue, green, red, blue, green\./)
  expect(task('order', 'order-10').do).toMatch(/^Lay the cards \d+, \d+, \d+, \d+ in a row\.$/)
})

test('nothing agrees wrongly with its number, and a task does not come twice running', () => {
  for (const { strand, step } of places) {
    const chance = seededChance(9)
    const tasks = Array.from({ length: 60 }, () => taskFor({ strand, step }, chance))
    for (const { do: needed, say } of tasks) {
      expect(`${needed} ${say}`).not.toMatch(/\b1 (counters|cubes|rods|fingers|dots|base-ten ones)\b/)
      expect(say).toMatch(/^[A-Z0-9].*[.?]$/)
    }
  }
})

/** Share of a thousand tasks of a step of which something holds. */
function shareOf(
  strand: (typeof places)[number]['strand'],
  step: string,
  holds: (item: PracticeItem) => boolean,
) {
  const chance = seededChance(3)
  const many = 1000
  return (
    Array.from({ length: many }, () => taskFor({ strand, step }, chance).item).filter(holds).length / many
  )
}

test('tasks hit what their step is for', () => {
  const crosses = (item: PracticeItem) =>
    (item.op === 'add' && (item.a % 10) + (item.b % 10) > 9) ||
    (item.op === 'subtract' && item.a % 10 < item.b % 10)
  expect(shareOf('add', 'count-on-20', crosses)).toBeGreaterThan(0.25)
  expect(shareOf('add', 'subtract-20', crosses)).toBe(1)
  expect(shareOf('add', 'subtract-teens', crosses)).toBe(0)
  expect(shareOf('add', 'crossing-100', crosses)).toBe(1)
  expect(shareOf('add', 'tens-ones-100', crosses)).toBe(0)
  for (const step of ['tens-ones-100', 'crossing-100']) {
    expect(shareOf('add', step, ({ op }) => op === 'subtract')).toBeGreaterThan(0.4)
    expect(shareOf('add', step, (item) => 'b' in item && item.b < 10)).toBeGreaterThan(0.3)
  }
  expect(
    shareOf('add', 'complement-100', (item) => item.op === 'missing' && item.whole % 10 !== 0),
  ).toBeGreaterThan(0.2)
  expect(
    shareOf(
      'count',
      'count-1000',
      (item) => item.op === 'say' && Math.floor(item.from / 100) < Math.floor(item.answer / 100),
    ),
  ).toBe(1)
  expect(shareOf('order', 'more-5', (item) => item.op === 'compare' && item.a === item.b)).toBeGreaterThan(
    0.1,
  )
  for (const step of ['order-20', 'order-100', 'order-1000'])
    expect(shareOf('order', step, ({ op }) => op === 'order')).toBeGreaterThan(0.4)
})

test('equal seeds give equal tasks', () => {
  const place = { strand: 'add' as const, step: 'make-ten-20' }
  expect(taskFor(place, seededChance(4))).toEqual(taskFor(place, seededChance(4)))
})
