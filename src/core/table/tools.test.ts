import { seededChance } from '../chance/chance'
import { filled, isTapped, newTool, tapped, toolIds, toolLayout, toolScene, turned, used } from './tools'

test.each(toolIds)('%s: everything lies on a spot of its own layout', (id) => {
  let tool = newTool(id)
  const chance = seededChance(1)
  for (let use = 0; use < 30; use++) {
    const ids = new Set(toolLayout(tool).spots.map((spot) => spot.id))
    const { things } = toolScene(tool)
    expect(things.filter(({ at }) => !ids.has(at))).toEqual([])
    tool = isTapped(tool) ? tapped(tool, [...ids][use % ids.size]) : used(turned(tool, 5), chance)
  }
})

test('a pack of cards turns each once before it is shuffled again', () => {
  let tool = newTool('cards', { from: 1, to: 6 })
  const chance = seededChance(3)
  const seen: number[] = []
  for (let card = 0; card < 12; card++) {
    tool = used(tool, chance)
    seen.push(tool.shown[0])
  }
  expect([...seen.slice(0, 6)].sort()).toEqual([1, 2, 3, 4, 5, 6])
  expect([...seen.slice(6)].sort()).toEqual([1, 2, 3, 4, 5, 6])
})

test('a frame is filled fives first, a clock goes round, a place is covered and uncovered', () => {
  expect(filled(newTool('frames'), 7).marked).toHaveLength(7)
  expect(filled(newTool('frames'), 12).marked).toHaveLength(10)
  expect(turned(newTool('clock'), -200).minutes).toBe(700)
  const once = tapped(newTool('grid'), 'spot-34')
  expect(once.marked).toEqual(['spot-34'])
  expect(tapped(once, 'spot-34').marked).toEqual([])
})
