import type { Mark } from '../../drawing/marks'
import { games } from '../../games'
import type { Face } from '../../things/face'
import { packed } from '../pack'
import { boardOf } from './boards'

const textsIn = (marks: readonly Mark[]): string[] =>
  marks.flatMap((mark) => (mark.op === 'group' ? textsIn(mark.marks) : mark.op === 'text' ? [mark.text] : []))

const boards = games.flatMap((game) =>
  game.levels
    .filter(({ params }) =>
      game.materials(params).some(({ thing }) => ['board', 'track', 'line card'].includes(thing.kind)),
    )
    .map(({ id, params }) => ({ game, id, params })),
)

const saidBy = (face: Face | undefined) =>
  face?.kind === 'numeral' ? String(face.n) : face?.kind === 'words' ? face.text : null

test('what stands on the table to be read stands on its printed board: numbers of spaces, heads of rows and columns', () => {
  expect(boards.length).toBeGreaterThan(50)
  let heads = 0
  for (const { game, id, params } of boards) {
    const { spots } = game.table.layout(params, Math.max(1, game.players.min))
    const printed = textsIn(boardOf(game, params).marks)
    for (const { shape, face } of spots) {
      const said = saidBy(face)
      if (said === null) continue
      if (shape === 'area') heads++
      expect([game.id, id, printed]).toEqual([game.id, id, expect.arrayContaining([said]) as string[]])
    }
  }
  // Doubles Dash says under each column which double it is for, Jetty Planks beside each row which total.
  expect(heads).toBeGreaterThan(50)
})

test('spaces become large enough for counters, as far as a sheet, a half or a quarter of it allows', () => {
  for (const { game, id, params } of boards) {
    const drawn = boardOf(game, params, 'card')
    const [own, board] = [boardOf(game, params, 'own'), boardOf(game, params)]
    expect([game.id, id, drawn.width <= own.width + 1e-9 && own.width <= board.width + 1e-9]).toEqual([
      game.id,
      id,
      true,
    ])
  }
  const fiveFlags = games.find(({ id }) => id === 'five-flags')!
  const card = boardOf(fiveFlags, fiveFlags.levels[0].params, 'card')
  // Five spaces of 16 mm and more, four cards on a sheet of either paper.
  expect(card.width / 5).toBeGreaterThan(16)
  for (const paper of ['A4', 'Letter'] as const)
    expect(
      packed([{ title: '', parts: [{ title: '', pieces: [card, card, card, card] }] }], {
        paper,
        backs: 'none',
        seed: 1,
      }),
    ).toHaveLength(1)
})
