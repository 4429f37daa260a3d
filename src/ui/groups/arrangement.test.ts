import type { GroupsDraft } from '@/core/grouping/draft'
import { locked, moved, swapped, withGroup } from './arrangement'

const draft: GroupsDraft = {
  gameId: 'landfall',
  mode: 'pairs',
  note: '',
  groups: [
    { pennant: 2, levelId: 'a', pupils: ['Ada', 'Ben'], withAdult: false },
    { pennant: 5, levelId: 'b', pupils: ['Cy', 'Dot', 'Eve'], withAdult: true },
  ],
  own: {},
  pairs: { Ada: 0, Ben: 0, Cy: 1, Dot: 1 },
  locked: ['Ada', 'Cy'],
}
const pupils = ({ groups }: GroupsDraft) => groups.map((group) => group.pupils)

describe('groups changed by hand', () => {
  test('a child that moves leaves its pair, and its partner too; it stays nowhere any more', () => {
    const after = moved(draft, 'Ada', 5)
    expect(pupils(after)).toEqual([['Ben'], ['Cy', 'Dot', 'Eve', 'Ada']])
    expect(after.pairs).toEqual({ Cy: 1, Dot: 1 })
    expect(after.locked).toEqual(['Cy'])
  })

  test('who is in no group and no pair breaks none', () => {
    const after = moved(draft, 'Fin', 2)
    expect(pupils(after)).toEqual([
      ['Ada', 'Ben', 'Fin'],
      ['Cy', 'Dot', 'Eve'],
    ])
    expect(after.pairs).toEqual(draft.pairs)
  })

  test('two that swap stand where the other stood', () => {
    const after = swapped(draft, 'Ben', 'Eve')
    expect(pupils(after)).toEqual([
      ['Ada', 'Eve'],
      ['Cy', 'Dot', 'Ben'],
    ])
    expect(after.pairs).toEqual({ Cy: 1, Dot: 1 })
    expect(pupils(swapped(after, 'Ben', 'Eve'))).toEqual(pupils(draft))
  })

  test('a child is kept in its group once, however often that is said', () => {
    expect(locked(locked(draft, 'Dot', true), 'Dot', true).locked).toEqual(['Ada', 'Cy', 'Dot'])
    expect(locked(draft, 'Cy', false).locked).toEqual(['Ada'])
  })

  test('a group is known by its pennant, not by where it stands', () => {
    const after = withGroup(draft, 5, { levelId: 'c' })
    expect(after.groups.map(({ levelId }) => levelId)).toEqual(['a', 'c'])
  })
})
