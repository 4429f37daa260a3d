import { slips } from '../../skills'
import { games, gameOf } from '../index'
import { lesson } from './training'

test.each(['landfall', 'the-gap', 'bigger-haul', 'two-halves'])(
  '%s: ten goes, each marked as it was, with its reason among those to choose from',
  (id) => {
    const goes = lesson(id, gameOf(id).levels[1].params, Math.max(1, gameOf(id).players.min), 4)
    expect(goes.length).toBeGreaterThan(4)
    for (const { item, said, judged, reason, reasons } of goes) {
      expect(said.at(-1) === item.answer).toBe(judged !== 'notYet')
      expect(said.length === 1).toBe(judged === 'own')
      expect(reasons.includes(reason!)).toBe(judged !== 'own')
      if (reason) expect(slips(item)).toContainEqual({ answer: said[0], reason })
    }
    expect(new Set(goes.map(({ judged }) => judged)).size).toBe(3)
  },
)

test('every game can be practised on, or has nothing to mark', () => {
  for (const { id, levels, players } of games) {
    const goes = lesson(id, levels[0].params, Math.max(1, players.min), 2)
    for (const { item, judged, said } of goes) expect(said.includes(item.answer)).toBe(judged !== 'notYet')
  }
})

test('what can only be judged by looking is left out: no time without a clock, no count without its things', () => {
  for (const id of ['clock-cards', 'quick-look', 'mark-and-make'])
    expect(lesson(id, gameOf(id).levels[0].params, 1, 3)).toEqual([])
})
