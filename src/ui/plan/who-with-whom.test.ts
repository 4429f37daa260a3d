import { partnersInWords } from './who-with-whom'

type View = Parameters<typeof partnersInWords>[0]

const view = (again: [string, string][][], pairsStay = false) =>
  ({
    pairsStay,
    groups: [{ children: ['Ana', 'Bo', 'Cy', 'Dee'].map((name) => ({ id: name[0], name })) }],
    visits: again.map((partnersAgain, slot) => ({ slot, partnersAgain })),
  }) as unknown as View

test('nobody twice running: that is said, and no more than that', () => {
  expect(partnersInWords(view([[], []]))).toBe('Nobody has the same partner twice running.')
})

test('who has to play together again is named with the slot, three at most', () => {
  expect(partnersInWords(view([[], [['A', 'B']]]))).toBe(
    'Twice running, as the numbers leave no other way: Ana with Bo in slot 2.',
  )
  const many = view([
    [],
    [
      ['A', 'B'],
      ['C', 'D'],
    ],
    [
      ['A', 'C'],
      ['B', 'D'],
      ['A', 'D'],
    ],
  ])
  expect(partnersInWords(many)).toMatch(/Ana with Cy in slot 3 and 2 more\.$/)
})

test('pairs within reach are not told as new ones', () => {
  expect(partnersInWords(view([[], []], true))).toBe('Pairs within reach stay together.')
})
