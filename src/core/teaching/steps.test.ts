import { seededChance } from '../chance/chance'
import { slips, strands } from '../skills'
import { taskFor } from '../skills/tasks'
import { teachingMoves } from './moves'
import { teachingFor } from './steps'

const places = strands.flatMap(({ id, steps }) => steps.map((step) => ({ strand: id, step: step.id })))

test.each(places)('$strand $step has a table activity, an oral one, I can and words', (place) => {
  const { iCan, words, table, oral } = teachingFor(place)
  expect(iCan).toMatch(/^I (can|know) .*\.$/)
  expect(words.length).toBeGreaterThanOrEqual(3)
  expect(table.lines.length).toBeGreaterThanOrEqual(3)
  expect(table.lines.length).toBeLessThanOrEqual(5)
  for (const line of [...table.lines, table.lookFor]) expect(line).toMatch(/^[A-Z].*[.?…]$/)
  expect(table.say).toMatch(/[?.]$/)
  expect(oral.length).toBeGreaterThan(20)
})

test('every step has a teaching move for what goes astray most', () => {
  for (const place of places) {
    const chance = seededChance(4)
    const reasons = new Map<string, number>()
    for (let task = 0; task < 40; task++) {
      const [likeliest] = slips(taskFor(place, chance).item)
      if (likeliest) reasons.set(likeliest.reason, (reasons.get(likeliest.reason) ?? 0) + 1)
    }
    const [commonest] = [...reasons].sort((a, b) => b[1] - a[1])
    expect([place.step, commonest?.[0] !== undefined && commonest[0] in teachingMoves]).toEqual([
      place.step,
      true,
    ])
  }
})

test('what is said at the table gives no number away that the step does not reach', () => {
  for (const { id, steps } of strands)
    for (const { id: step, range } of steps) {
      const { table } = teachingFor({ strand: id, step })
      const numbers = [...table.lines.join(' ').matchAll(/\d+/g)].map(([n]) => Number(n))
      expect([step, numbers.filter((n) => n > Math.max(range.to, 12))]).toEqual([step, []])
    }
})
