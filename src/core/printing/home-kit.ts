import { gameOf, type AnyGame } from '../games'
import { textsOf } from '../games/texts'
import { materialsOf } from '../planning/materials'
import { isPrinted, nameOf } from '../things'
import { Flow } from './flow'
import type { Bundle } from './item'
import { letters, type Language } from './letters'
import { packed } from './pack'
import { at, copiesOf, framed, type Piece } from './piece'
import { piecesOf } from './pieces/of-thing'
import { taskCardWithRules } from './sheets/task-card'

/** A level that a child can play at home: by its own level, whatever its group plays. */
export interface HomeGame {
  gameId: string
  levelId: string
}

/** Pages of a whole kit: a letter, how to play, and no more than this to cut out. */
export const mostKitPages = 4
const mostToCut = 2

/** A child and somebody at home. */
const playersAtHome = 2

/** What a household has, or does without. Common practice, no source. */
const atHome: Partial<Record<string, string>> = {
  counter: 'buttons, coins or pasta',
  'counter in an own colour': 'buttons or coins of two kinds',
  marker: 'a button each',
  'target marker': 'a button',
  'pebble or counter': 'buttons or pasta',
  'small token': 'buttons or pasta',
  cube: 'building bricks',
  die: 'a die',
  pencil: 'pencils',
  'pen in an own colour': 'pencils in two colours',
  'mini whiteboard with pen': 'paper and pencil',
  'wipe-clean sleeve with pen': 'paper and pencil',
  cup: 'a cup that you can’t see through',
  tray: 'a plate',
  timer: 'a clock',
}

const needsOf = (game: AnyGame, params: unknown) =>
  materialsOf([{ slot: 0, station: 0, materials: game.materials(params), sets: [playersAtHome] }], 1, 0).all

/** What is cut out for a child and somebody at home. */
function cutOut(game: AnyGame, params: unknown): Piece[] | null {
  const printed = needsOf(game, params).filter(({ thing }) => isPrinted(thing))
  const all = printed.map(({ thing, count }) =>
    piecesOf(thing, count, { game, params, players: playersAtHome }, 1),
  )
  return all.some((one) => one === null) ? null : (all as Piece[][]).flat()
}

/**
 * True for a level that two can play at a table at home without a teacher: nothing of the floor or the class, only
 * things a household has, and no more than {@link mostToCut} pages to cut out.
 */
export function playedAtHome(game: AnyGame, params: unknown): boolean {
  const { room, players } = game
  if (room.whole || room.adult || room.where !== 'table' || room.floor > 1) return false
  if (players.min > playersAtHome || players.max < playersAtHome) return false
  const fromShelf = needsOf(game, params).filter(({ thing }) => !isPrinted(thing))
  if (fromShelf.some(({ item }) => atHome[item] === undefined)) return false
  const pieces = cutOut(game, params)
  if (!pieces) return false
  return (['A4', 'Letter'] as const).every((paper) => {
    const parts = [{ title: '', pieces }]
    return packed([{ title: '', parts }], { paper, backs: 'none', seed: 1 }).length <= mostToCut
  })
}

const [width, height] = [190, 268]

/** The letter: plain words, nothing that ranks, nothing of other children. */
function letterPage(name: string, { gameId, levelId }: HomeGame, language: Language): Piece {
  const game = gameOf(gameId)
  const { params } = game.levels.find(({ id }) => id === levelId)!
  const texts = textsOf(gameId, params)
  const words = letters[language]
  const flow = new Flow(width - 28)
  flow.head(words.title, 11)
  flow.gap(4)
  flow.say(words.hello, { size: 5.6 })
  flow.gap(3)
  // Not by replacement patterns: a name may hold anything.
  flow.say(words.why.split('{name}').join(name), { size: 5.6 })
  flow.gap(4)
  flow.say(game.title, { size: 9, heavy: true })
  flow.gap(4)
  flow.say(words.need, { size: 5.2, heavy: true })
  const needs = needsOf(game, params)
  const household = needs.flatMap(({ item, count }) =>
    item === 'die' && count > 1 ? `${count} dice` : (atHome[item] ?? []),
  )
  const cut = needs.filter(({ thing }) => isPrinted(thing)).map(({ thing }) => nameOf(thing))
  flow.points([...new Set([...household, ...cut])], 4.9)
  flow.gap(2)
  flow.say(`${words.cut} ${words.how}`, { size: 4.9 })
  const block = (title: string, text: string) => {
    flow.gap(2.6)
    flow.say(title, { size: 5.2, heavy: true })
    flow.say(text, { size: 4.9 })
  }
  block(words.lookTitle, texts.lookFors[0])
  block(words.helpTitle, texts.stuck)
  block(words.moreTitle, texts.harder)
  block(words.talkTitle, texts.talk)
  flow.gap(3.5)
  flow.say(words.kind, { size: 4.9 })
  flow.gap(2.6)
  flow.say(words.small, { size: 4, tone: 'soft' })
  flow.gap(2.6)
  flow.say(words.bye, { size: 5.6 })
  return framed(width, Math.max(height, flow.y + 22), [
    at(-width / 2 + 11, -Math.max(height, flow.y + 22) / 2 + 11, flow.marks, 'letter'),
  ])
}

/** One game at a child's own level with a letter: at most {@link mostKitPages} pages, and nothing about anybody else. */
export function homeKit(child: { id: string; name: string }, home: HomeGame, language: Language): Bundle {
  const game = gameOf(home.gameId)
  const { params } = game.levels.find(({ id }) => id === home.levelId)!
  const id = (name: string) => `home ${child.id}/${name}`
  return {
    id: `home ${child.id}`,
    // The name is inside, on the letter: whoever finds a page of it lying about reads only the game.
    title: game.title,
    gameId: null,
    shelf: [],
    items: [
      {
        id: id('letter'),
        name: `letter, ${letters[language].language}`,
        role: 'needed',
        count: 1,
        thing: null,
        part: (count) => ({
          title: 'letter',
          pieces: copiesOf([letterPage(child.name, home, language)], count),
        }),
      },
      {
        id: id('how to play'),
        name: `how to play ${game.title}`,
        role: 'needed',
        count: 1,
        thing: null,
        // Its level has no name at home: names of levels rank.
        part: (count) => ({
          title: 'how to play',
          across: true,
          pieces: copiesOf(taskCardWithRules(game, '', params, 'small', 'at home'), count),
        }),
      },
      {
        id: id('to cut out'),
        name: 'to cut out, for two',
        role: 'needed',
        count: 1,
        thing: null,
        part: (count) => ({ title: 'to cut out', pieces: copiesOf(cutOut(game, params) ?? [], count) }),
      },
    ],
  }
}
