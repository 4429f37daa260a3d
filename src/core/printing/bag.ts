import { gameOf } from '../games'
import type { Need } from '../planning/materials'
import { isPrinted, nameOf, type Thing } from '../things'
import type { Bundle, PrintItem } from './item'
import { copiesOf } from './piece'
import { centimetreTrack } from './pieces/lines'
import { piecesOf } from './pieces/of-thing'
import { bagLabel } from './sheets/bag-label'
import { taskCardWithRules } from './sheets/task-card'

/** A level as it is played out of a bag. */
export interface LevelPlayed {
  levelId: string
  /** Children in the largest set. */
  players: number
  /** Sets at once. */
  sets: number
}

/** Sets of children that share a card: it stands between their two tables. Common practice, no source. */
const setsAtACard = 2

/** How a thing of the shelf can be printed where there is too little of it. */
const printedInstead = (one: Thing): string | null =>
  one.kind === 'die' && one.sides === 6
    ? 'die to fold'
    : one.kind === 'dominoes'
      ? `domino cards to double ${one.to}`
      : null

/** First and last number of what can be had in squares of a centimetre too; null: it has no such squares. */
const endsOf = (one: Thing): [number, number] | null =>
  one.kind === 'track' ? [one.from, one.to] : one.kind === 'number line' && one.to <= 100 ? [0, one.to] : null

/**
 * The bag of a game: its task cards, everything of paper, a label, and what comes from the shelf.
 * @param needs what the levels need in all, with spares
 * @param minutes how long a game usually takes, for the adult; null: not known
 */
export function bagOf(
  gameId: string,
  needs: readonly Need[],
  played: readonly LevelPlayed[],
  minutes: ReadonlyMap<string, number> = new Map(),
): Bundle {
  const game = gameOf(gameId)
  const levels = played.map(({ levelId, players, sets }) => ({
    ...game.levels.find(({ id }) => id === levelId)!,
    players: Math.min(game.players.max, Math.max(game.players.min, players)),
    sets,
  }))
  const id = (name: string) => `${gameId}/${name}`
  const taskCards = levels.map((level): PrintItem => {
    const name = `task card, ${level.title}`
    return {
      id: id(`task card ${level.id}`),
      name,
      role: 'needed',
      count: Math.ceil(level.sets / setsAtACard),
      thing: null,
      part: (count, { taskCards: form }) => ({
        title: name,
        across: form === 'small',
        pieces: copiesOf(taskCardWithRules(game, level.title, level.params, form), count),
      }),
    }
  })
  /** The level whose thing it is: one thing of two levels is the same thing. */
  const levelWith = (item: string) =>
    levels.find(({ params }) => game.materials(params).some(({ thing }) => nameOf(thing) === item)) ??
    levels[0]
  const things = needs.flatMap(({ thing, item, count }): PrintItem[] => {
    const { params, players } = levelWith(item)
    const instead = printedInstead(thing)
    if (!isPrinted(thing) && instead === null) return []
    const name = instead ?? item
    return [
      {
        id: id(name),
        name,
        role: instead === null ? 'needed' : 'instead',
        count,
        thing,
        part: (copies, { seed }) => ({
          title: name,
          pieces: piecesOf(thing, copies, { game, params, players }, seed) ?? [],
        }),
      },
    ]
  })
  const centimetres = needs.flatMap(({ thing }): PrintItem[] => {
    const ends = endsOf(thing)
    if (!ends) return []
    const name = `${nameOf(thing)}, squares of a centimetre`
    const squalls = thing.kind === 'track' ? thing.squalls : []
    return [
      {
        id: id(name),
        name,
        role: 'more',
        count: 1,
        thing: null,
        part: (copies) => ({
          title: name,
          pieces: copiesOf(centimetreTrack(...ends, squalls), copies),
        }),
      },
    ]
  })
  const shelf = needs
    .filter(({ thing }) => !isPrinted(thing))
    .map(({ item, count }) => ({ name: item, count }))
  const label: PrintItem = {
    id: id('label'),
    name: 'label for the bag',
    role: 'needed',
    count: 1,
    thing: null,
    part: (copies) => ({
      title: 'label',
      pieces: copiesOf(
        [
          bagLabel({
            title: game.title,
            levels: levels.map(({ id: levelId, title }) => ({
              title,
              minutes: minutes.get(levelId) ?? null,
            })),
            paper: [...taskCards, ...things]
              .filter(({ role }) => role === 'needed')
              .map(({ name, count }) => ({ name, count })),
            shelf,
          }),
        ],
        copies,
      ),
    }),
  }
  return {
    id: gameId,
    title: game.title,
    gameId,
    items: [...taskCards, ...things, label, ...centimetres],
    shelf,
  }
}
