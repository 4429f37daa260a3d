import { gameOf } from '../games'
import type { Mark } from '../drawing/marks'
import { gamePile } from './game-pile'
import { packed } from './pack'
import { pagesOf } from './pages'
import { sizeOfPaper } from './paper'
import type { Piece } from './piece'
import { countsToPrint } from './to-print'

const groups = (marks: readonly Mark[], kind: string) =>
  marks.flatMap((mark) => (mark.op === 'group' && mark.id.startsWith(`${kind} `) ? [mark] : []))

const dot = (id: string): Mark => ({ op: 'group', id, x: 0, y: 0, marks: [] })
const cards = (count: number, [width, height] = [56, 82]): Piece[] =>
  Array.from({ length: count }, (_, i) => ({
    width,
    height,
    marks: [dot(`front of ${i}`)],
    ...(i % 5 === 4 ? {} : { back: [dot(`back of ${i}`)] }),
  }))

/**
 * Where a place of a sheet is seen from its other side, once it is turned over along an edge: about an axis beside it, so that what lies
 * along the edge keeps its height and what lies across changes sides. Geometry of a sheet of paper.
 */
const turned = (
  edge: 'long edge' | 'short edge',
  [width, height]: readonly [number, number],
  x: number,
  y: number,
) => {
  const edgeIsUpright = (edge === 'long edge') === height > width
  return edgeIsUpright ? [width - x, y] : [x, height - y]
}

test.each(
  (['long edge', 'short edge'] as const).flatMap((edge) =>
    [false, true].flatMap((across) =>
      (['A4', 'Letter'] as const).map((paper) => [edge, across, paper] as const),
    ),
  ),
)('turned over along the %s, lying across %s, on %s: every back meets its front', (edge, across, paper) => {
  const [short, long] = sizeOfPaper(paper)
  const size = across ? ([long, short] as const) : ([short, long] as const)
  const pages = packed([{ title: 'pack', parts: [{ title: '', pieces: cards(23), across }] }], {
    paper,
    backs: edge,
    seed: 1,
  })
  expect(pages.length).toBeGreaterThan(2)
  expect(pages.length % 2).toBe(0)
  let met = 0
  for (let i = 0; i < pages.length; i += 2) {
    const [front, back] = [pages[i], pages[i + 1]]
    expect([front.width, front.height]).toEqual(size)
    expect([back.width, back.height]).toEqual(size)
    const backs = new Map(
      groups(back.marks, 'back').map((mark) => [(mark.marks[0] as { id: string }).id, mark]),
    )
    for (const piece of groups(front.marks, 'piece')) {
      const name = (piece.marks[0] as { id: string }).id.replace('front of ', '')
      const own = backs.get(`back of ${name}`)
      // Every fifth has none: its other side stays white.
      expect([name, own === undefined]).toEqual([name, Number(name) % 5 === 4])
      if (!own) continue
      const [x, y] = turned(edge, size, piece.x, piece.y)
      expect(own.x).toBeCloseTo(x, 6)
      expect(own.y).toBeCloseTo(y, 6)
      met++
    }
  }
  expect(met).toBe(cards(23).filter(({ back }) => back).length)
})

test('a pack of number cards with backs has as many backs as cards, and twice as many pages as without', () => {
  const game = gameOf('landfall')
  const level = game.levels.find(({ id }) => id === 'to-10-cards')!
  const pile = gamePile(game, level, 4, null)
  const counts = countsToPrint(pile.bundles, new Map())
  const job = { paper: 'A4', seed: 1, taskCards: 'small', counts } as const
  const without = pagesOf(pile, { ...job, backs: 'none' })
  const withBacks = pagesOf(pile, { ...job, backs: 'long edge' })
  expect(withBacks).toHaveLength(2 * without.length)
  const onCards = withBacks.filter(({ title }) => /number cards/.test(title))
  const fronts = onCards.flatMap(({ marks }) => groups(marks, 'piece')).length
  const backs = onCards.flatMap(({ marks }) => groups(marks, 'back')).length
  expect(fronts).toBeGreaterThan(0)
  expect(backs).toBe(fronts)
})
