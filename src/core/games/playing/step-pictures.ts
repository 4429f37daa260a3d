import { sentenceOf, type PracticeItem } from '../../skills/item'
import { changed, detail, wayBetween, type Detail } from '../../table/detail'
import type { Layout } from '../../table'
import type { AnyGame } from '../index'
import { newRound } from '../engine/round'
import type { Gesture } from '../engine/texts'
import { firstFrame, nextFrames, playersToShow, type Frame } from './showing'

/** What a child's step looks like: the part of the table where it happens, or what is said. */
export type StepPicture = ({ kind: 'table' } & Detail) | { kind: 'said'; words: string }

/** Which moment of a go a step belongs to. */
type Moment = 'device' | 'dealt' | 'sought' | 'said' | 'moved'

const momentOf: Partial<Record<Gesture, Moment>> = {
  roll: 'device',
  spin: 'device',
  turn: 'device',
  look: 'device',
  say: 'said',
  count: 'dealt',
  move: 'moved',
  place: 'moved',
  build: 'moved',
  write: 'moved',
  choose: 'moved',
  cover: 'moved',
}

/** A go that a picture can be made of is found among so many. */
const goesLookedAt = 24
/** Millimetres across and, twice, down: four squares in one row of a track, which are still read where the picture is small. */
const littleWay = 120

/** Said in a breath, and short enough for a bubble. */
const longestSaid = 16

/**
 * A picture for each step of a child, from one go of a seeded round: the same things and the same drawing as on the screen;
 * null: the sign of the gesture says it all, or nothing on the table changes.
 */
export function stepPictures(
  game: AnyGame,
  params: unknown,
  gestures: readonly Gesture[],
): (StepPicture | null)[] {
  const players = Math.min(6, playersToShow(game))
  const layout = game.table.layout(params, players)
  const go = goToShow(game, params, players, layout)
  if (!go) return gestures.map(() => null)
  const turned = go.device && changed(go.before.scene, go.device.scene)
  const moved = onTable(movedIn(layout, go))
  // What the device shows stands on it: a card, the sides of dice, a wheel. What else came is dealt with it.
  const spots = (shows: boolean) =>
    (turned ?? []).filter(({ face }) => (face !== null) === shows).map(({ at }) => at)
  const dealt = go.device && onTable(detail(layout, spots(false).filter(isNoPack), go.device.scene))
  const found: Record<Moment, StepPicture | null> = {
    device: go.device && (onTable(detail(layout, spots(true), go.device.scene)) ?? dealt),
    dealt: dealt ?? moved,
    sought: onTable(movedIn(layout, go, (go.device ?? go.before).scene)),
    said: go.said === null ? null : { kind: 'said', words: go.said },
    moved,
  }
  return gestures.map((gesture, step) => {
    const moment = momentAt(gestures, step)
    return moment ? (found[moment] ?? found[momentOf[gesture]!]) : null
  })
}

/** Who looks after the device was used looks for the place where something will happen. */
function momentAt(gestures: readonly Gesture[], step: number): Moment | undefined {
  const used = gestures.slice(0, step).some((gesture) => ['roll', 'spin', 'turn'].includes(gesture))
  return gestures[step] === 'look' && used ? 'sought' : momentOf[gestures[step]]
}

/** Of a part of the table on which there is something to see: empty places that nothing outlines would be a blank. */
const onTable = (part: Detail | null): StepPicture | null =>
  part &&
  (part.scene.things.length > 0 || part.layout.spots.some(({ shape, face }) => shape !== 'area' || face))
    ? { kind: 'table', ...part }
    : null

interface Go {
  before: Frame
  /** Null where nothing is rolled, turned or dealt. */
  device: Frame | null
  said: string | null
  moved: Frame
}

/** Where what the go moves is seen, with the places it passes: as it lies after the go, or in another scene of it. */
function movedIn(layout: Layout, { before, device, moved }: Go, scene = moved.scene): Detail | null {
  const from = (device ?? before).scene
  const stood = new Map(from.things.map(({ id, at }) => [id, at]))
  const passed = moved.scene.things.flatMap(({ id, at }) => {
    const was = stood.get(id)
    return was === undefined || was === at ? [] : wayBetween(layout, was, at)
  })
  const spots = changed(from, moved.scene).map(({ at }) => at)
  return detail(layout, [...spots, ...passed], scene)
}

/** The first go in which something is worked out and moved a little way, else the one that takes the least of the table. */
function goToShow(game: AnyGame, params: unknown, players: number, layout: Layout): Go | null {
  let seed = [...game.id].reduce((sum, letter) => sum + letter.charCodeAt(0), 1)
  let before = firstFrame(newRound(game.id, params, players, seed))
  let best: Go | null = null
  let least = Infinity
  for (let i = 0; i < goesLookedAt; i++) {
    const frames = nextFrames(before)
    const moved = frames.at(-1)
    if (!moved) {
      // Over: another one.
      before = firstFrame(newRound(game.id, params, players, ++seed))
      continue
    }
    const asked = frames.flatMap(({ item }) => (item ? [item] : []))
    const go: Go = {
      before,
      device: frames.find(({ stage }) => stage === 'device') ?? null,
      said: saidIn(asked),
      moved,
    }
    const shown = movedIn(layout, go)
    const waits = moved.stage !== 'moved' || moved.waits || asked.length === 0
    const { width, height } = shown ? shown.layout : layout
    const wide = waits ? Infinity : width + 2 * height
    if (!best || wide < least) [best, least] = [go, wide]
    if (wide <= littleWay) break
    before = moved
  }
  return best
}

/** What is said in a go: what is worked out last; whose is more is seen, and said only where nothing else is. */
function saidIn(asked: readonly PracticeItem[]): string | null {
  const item = asked.findLast(({ op }) => op !== 'compare') ?? asked.at(-1)
  return item === undefined ? null : saidOf(item)
}

/** The sentence where it is short, else the answer. */
function saidOf(item: PracticeItem): string {
  if (item.op === 'share') return `${item.answer} each`
  if (item.op === 'odd-even') return item.answer === 1 ? 'odd' : 'even'
  const sentence = sentenceOf(item)
  return sentence.length > 0 && sentence.length <= longestSaid ? sentence : String(item.answer)
}

const isNoPack = (spot: string) => spot !== 'pack'
