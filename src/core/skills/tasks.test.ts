import { seededChance } from '../chance/chance'
import { isTrue, largestNumber, placeOf, strands } from './index'
import { taskFor } from './tasks'

const places = strands.flatMap(({ id, steps }) =>
  steps.map((step) => ({ strand: id, step: step.id, of: step })),
)

/** With objects on the table the same fact is counted, which the fact alone does not tell. */
const byObjects = ['count-all-10', 'trade-ten']

test('every step has tasks that are true, in its range, of its own step, and with fresh numbers', () => {
  for (const [number, { strand, step, of }] of places.entries()) {
    const chance = seededChance(number + 1)
    const said = new Set<string>()
    for (let round = 0; round < 40; round++) {
      const { item, say } = taskFor({ strand, step }, chance)
      said.add(say)
      expect({ of: of.id, item, ok: isTrue(item) }).toMatchObject({ ok: true })
      expect(largestNumber(item)).toBeLessThanOrEqual(Math.max(of.range.to, 12))
      if (!byObjects.includes(of.id))
        expect({ of: of.id, place: placeOf(item) }).toEqual({ of: of.id, place: { strand, step } })
    }
    // Counting to five and patterns have only one or two ways to be asked.
    if (!/^(count-5|back-5|pattern|tens-)/.test(of.id)) expect(said.size).toBeGreaterThan(2)
  }
})

test('tasks say what to say and what lies on the table', () => {
  const task = (strand: (typeof places)[number]['strand'], id: string) =>
    taskFor({ strand, step: id }, seededChance(2))
  expect(task('add', 'count-on-10').say).toMatch(/^I hide \d under the cloth\. I put \d more beside it\./)
  expect(task('add', 'count-on-10').objects).toEqual(['counters', 'a cloth to hide them'])
  expect(task('time', 'quarter').say).toMatch(/^Set the clock to quarter (past|to) \d+\.$/)
  expect(task('pattern', 'pattern-abc').say).toMatch(/^Lay red, blue, green, red, blue, green\./)
})

test('equal seeds give equal tasks', () => {
  const place = { strand: 'add' as const, step: 'make-ten-20' }
  expect(taskFor(place, seededChance(4))).toEqual(taskFor(place, seededChance(4)))
})
