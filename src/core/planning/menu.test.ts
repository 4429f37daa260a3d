import fc from 'fast-check'
import { checkMenu, menuInputSchema } from './menu'

const menu = (input: object) => checkMenu(menuInputSchema.parse(input))

test('five places each for fifteen children on three cards suffice; four do not', () => {
  const groups = ['a', 'b', 'c'].map((id) => ({ id, children: 5 }))
  const cards = (places: number) => ['x', 'y', 'z'].map((id) => ({ id, places }))
  expect(menu({ slots: 3, cards: cards(5), groups })).toEqual({
    enough: true,
    tooManyMust: [],
    mustShort: [],
    short: null,
  })
  expect(menu({ slots: 3, cards: cards(4), groups }).short).toEqual({
    groups: ['a', 'b', 'c'],
    turns: 45,
    places: 36,
  })
})

test('a card everybody must do needs as many places as children over all slots', () => {
  const groups = ['a', 'b'].map((id) => ({ id, children: 6, must: ['count'] }))
  const cards = [
    { id: 'count', places: 4 },
    { id: 'free', places: 20 },
  ]
  expect(menu({ slots: 2, cards, groups }).mustShort).toEqual([{ card: 'count', children: 12, places: 8 }])
  expect(menu({ slots: 3, cards, groups }).enough).toBe(true)
})

test('more to be done than there are slots; a card nobody offers is named', () => {
  const cards = ['x', 'y', 'z'].map((id) => ({ id, places: 9 }))
  const groups = [{ id: 'a', children: 4, must: ['x', 'y', 'z'] }]
  expect(menu({ slots: 2, cards, groups }).tooManyMust).toEqual([{ group: 'a', must: 3, slots: 2 }])
  const bad = menuInputSchema.safeParse({ slots: 2, cards, groups: [{ ...groups[0], may: ['w'] }] })
  expect(bad.error!.issues.map(({ path }) => path.join('.'))).toEqual(['groups.0.may.0'])
})

/** Tries to seat the children one by one, slot by slot, in every way there is. */
function seats({ slots, cards, groups }: ReturnType<typeof menuInputSchema.parse>): boolean {
  const children = groups.flatMap(({ children, must, may }) =>
    Array.from({ length: children }, () => ({ left: new Set(must), open: may })),
  )
  const place = (slot: number, child: number, taken: number[]): boolean => {
    if (slot === slots) return children.every(({ left }) => left.size === 0)
    if (child === children.length)
      return place(
        slot + 1,
        0,
        cards.map(() => 0),
      )
    const { left, open } = children[child]
    // What is still to be done has to fit into what is left of the session.
    if (left.size > slots - slot) return false
    return cards.some(({ id, places }, c) => {
      const due = left.has(id)
      const allowed = due || open === undefined || open.includes(id) || groupMust(child).includes(id)
      if (taken[c] >= places || !allowed) return false
      left.delete(id)
      const seated = place(slot, child + 1, taken.with(c, taken[c] + 1))
      if (due) left.add(id)
      return seated
    })
  }
  const owner = groups.flatMap(({ children: count }, g) => Array<number>(count).fill(g))
  const groupMust = (child: number) => groups[owner[child]].must
  return place(
    0,
    0,
    cards.map(() => 0),
  )
}

test('says what seating the children one by one says', () => {
  const ids = ['x', 'y', 'z']
  const small = fc
    .record({
      slots: fc.integer({ min: 1, max: 2 }),
      places: fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 2, maxLength: 3 }),
      groups: fc.array(
        fc.record({
          children: fc.integer({ min: 1, max: 2 }),
          must: fc.subarray(ids),
          may: fc.option(fc.subarray(ids), { nil: undefined }),
        }),
        { minLength: 1, maxLength: 2 },
      ),
    })
    .map(({ slots, places, groups }) => {
      const cards = places.map((own, c) => ({ id: ids[c], places: own }))
      const there = (list: string[]) => list.filter((card) => cards.some(({ id }) => id === card))
      return menuInputSchema.parse({
        slots,
        cards,
        groups: groups.map(({ children, must, may }, g) => ({
          id: `g${g}`,
          children,
          must: there(must),
          may: may && there(may),
        })),
      })
    })
  let [enough, short] = [0, 0]
  fc.assert(
    fc.property(small, (input) => {
      const found = checkMenu(input).enough
      if (found) enough++
      else short++
      expect(found).toBe(seats(input))
    }),
    { numRuns: 400, seed: 5 },
  )
  expect(Math.min(enough, short)).toBeGreaterThan(40)
})
