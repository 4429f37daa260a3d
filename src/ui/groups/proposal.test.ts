import type { ClassFit } from '@/core/grouping/request'
import { asKept, requestOf } from './proposal'

const children = ['Ada', 'Ben', 'Cy', 'Dot', 'Eve', 'Fin']
const fit: ClassFit = {
  levels: [{ id: 'a', title: 'a' }],
  success: Object.fromEntries(children.map((id) => [id, [0.8]])),
  abilities: Object.fromEntries(children.map((id, i) => [id, i])),
  notKnown: [],
  spans: {},
}
const group = (pennant: number, pupils: string[], withAdult = false) => ({
  pennant,
  levelId: 'a',
  pupils,
  withAdult,
})
const page = { links: [{ kind: 'apart' as const, a: 'Ada', b: 'Ben' }], met: [], adultNear: ['Cy'] }
const making = {
  mode: 'similar' as const,
  gameId: 'landfall',
  count: 2,
  smallest: undefined,
  largest: undefined,
}
const table = {
  groups: [group(5, ['Ada', 'Ben']), group(1, ['Cy', 'Dot'], true), group(7, ['Eve', 'Fin'])],
  locked: ['Cy', 'Fin'],
}

describe('what is asked of the search', () => {
  test('groups keep their pennants; who stays in one that is to be no more stays nowhere', () => {
    const request = requestOf(children, fit, table, page, making)
    expect(request.pennants).toEqual([5, 1])
    expect(request.locked).toEqual({ Cy: 1 })
    expect(request.current).toMatchObject({ Ada: 5, Fin: 7 })
    expect(request.apart).toEqual([['Ada', 'Ben']])
  })

  test('an adult is near where she was, or else at the first group', () => {
    expect(requestOf(children, fit, table, page, making).withAdult).toEqual([1])
    const nobody = { ...table, groups: table.groups.map((one) => ({ ...one, withAdult: false })) }
    expect(requestOf(children, fit, nobody, page, making).withAdult).toEqual([5])
  })

  test('sizes are even, and give way only where none were asked for', () => {
    expect(requestOf(children, fit, table, page, making)).toMatchObject({
      sizes: { min: 3, max: 3 },
      evenly: true,
    })
    expect(requestOf(children, fit, table, page, { ...making, largest: 4 })).toMatchObject({
      sizes: { min: 2, max: 4 },
      evenly: false,
    })
  })
})

test('kept, each group has its own of who stays and of the pairs', () => {
  const kept = asKept(table.groups, { locked: ['Cy', 'Fin'], pairs: { Ada: 0, Ben: 0, Eve: 1, Fin: 1 } })
  expect(kept.map(({ locked }) => locked)).toEqual([[], ['Cy'], ['Fin']])
  expect(kept.map(({ pairs }) => pairs)).toEqual([{ Ada: 0, Ben: 0 }, {}, { Eve: 1, Fin: 1 }])
})
