import { clashInWords, unevenInWords } from './clash-words'
import { numberFinding } from './number-finding'

const names = new Map([
  ['a', 'Ama'],
  ['b', 'Bruno'],
])

describe('limits that can’t hold at once, in words', () => {
  test('who is meant is named, and what to drop comes last', () => {
    expect(
      clashInWords(
        [{ kind: 'together-and-apart', children: ['a', 'b'] }],
        { limits: [], drop: [{ kind: 'apart', children: ['a', 'b'] }] },
        names,
      ),
    ).toEqual([
      'Ama and Bruno are to be kept together and apart at once.',
      'Groups are possible without: keeping Ama and Bruno apart.',
    ])
  })
  test('why groups are not even: limits of the teacher’s by name, pairs as such', () => {
    const together = { kind: 'together' as const, children: ['a', 'b'] }
    const link = { kind: 'together' as const, a: 'b', b: 'a' }
    const uneven = { limits: [together, { kind: 'sizes' as const, count: 2, min: 1, max: 1 }], drop: [] }
    expect(unevenInWords(uneven, names, [link])).toBe(
      'Even groups can’t keep this: keeping Ama and Bruno together. The sizes gave way.',
    )
    expect(unevenInWords(uneven, names, [])).toBe(
      'Even groups can’t keep this: both of a pair in one group. The sizes gave way.',
    )
    expect(unevenInWords({ limits: [], drop: [] }, names, [])).toContain('all the limits')
  })
  test('a group is named by its pennant, wherever it stands', () => {
    const drop = [
      { kind: 'locked' as const, child: 'a', group: 2 },
      { kind: 'adult-near' as const, child: 'b' },
    ]
    expect(clashInWords([], { limits: [], drop }, names)).toEqual([
      'Groups are possible without: keeping Ama in Thrift; an adult near Bruno.',
    ])
  })
  test('sizes are told with the class they do not hold', () => {
    const [text] = clashInWords([{ kind: 'sizes', children: 13, least: 4, most: 12 }], null, names)
    expect(text).toBe('Groups of these sizes hold 4 to 12 children; the class has 13.')
  })
  test('every kind has its sentence', () => {
    const kinds = [
      { kind: 'locked-apart-in-one-group', children: ['a', 'b'], group: 0 },
      { kind: 'together-locked-to-two-groups', children: ['a', 'b'] },
      { kind: 'locked-without-adult', children: ['a'] },
      { kind: 'too-many-kept-together', children: ['a', 'b'], most: 1 },
      { kind: 'together-impossible' },
    ] as const
    const texts = clashInWords(
      kinds.map((one) => ('children' in one ? { ...one, children: [...one.children] } : one)),
      null,
      names,
    )
    expect(new Set(texts).size).toBe(kinds.length)
    texts.slice(0, 4).forEach((text) => expect(text).toMatch(/^Ama.*\.$/))
  })
})

describe('what the curve against the number of groups shows', () => {
  const points = [8, 14, 20, 22, 22].map((fitting, i) => ({ groups: i + 1, fitting }))
  test('fewer groups that fit as well', () =>
    expect(numberFinding(points, 5, 22, 26)).toBe('Four groups fit as well as five'))
  test('more groups that would fit better', () =>
    expect(numberFinding(points, 3, 20, 26)).toBe('Four groups would bring two more in'))
  test('neither', () => expect(numberFinding(points, 4, 22, 26)).toBe('More groups would not fit better'))
  test('groups made anew that would fit better come first', () =>
    expect(numberFinding(points, 3, 21, 26)).toBe('Made again, three groups bring one more in'))
  test('of nobody anything is known: nothing is said to fit as well', () => {
    const nobody = points.map(({ groups }) => ({ groups, fitting: 0 }))
    expect(numberFinding(nobody, 5, 0, 0)).toBe('Too early to say how many groups fit')
  })
  test('one group is one', () =>
    expect(
      numberFinding(
        [
          { groups: 1, fitting: 5 },
          { groups: 2, fitting: 5 },
        ],
        2,
        5,
        26,
      ),
    ).toBe('One group fits as well as two'))
})
