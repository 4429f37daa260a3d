import { sentenceOf } from '../../skills/item'
import type { Layout, Scene, SceneThing, Spot } from '../../table'
import type { AnyGame } from '../index'
import { newRound } from '../engine/round'
import type { Gesture } from '../engine/texts'
import { firstFrame, nextFrames, playersToShow, type Frame } from './showing'

/** What a child's step looks like: the part of the table where it happens, or what is said. */
export type StepPicture = { kind: 'table'; layout: Layout; scene: Scene } | { kind: 'said'; words: string }

/** Which moment of a go a step belongs to. */
type Moment = 'device' | 'said' | 'moved'

const momentOf: Partial<Record<Gesture, Moment>> = {
  roll: 'device',
  spin: 'device',
  turn: 'device',
  look: 'device',
  say: 'said',
  count: 'moved',
  move: 'moved',
  place: 'moved',
  build: 'moved',
  write: 'moved',
  choose: 'moved',
  cover: 'moved',
  hop: 'moved',
}

/** A go that a picture can be made of is found among so many. */
const goesLookedAt = 12
/** More than so much of the table is no detail of it. */
const wholeFrom = 0.7
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
  const go = goToShow(game, params)
  if (!go) return gestures.map(() => null)
  const layout = game.table.layout(params, go.players)
  const found: Record<Moment, StepPicture | null> = {
    device: go.device && detail(layout, go.before.scene, go.device.scene),
    said: go.said === null ? null : { kind: 'said', words: go.said },
    moved: detail(layout, (go.device ?? go.before).scene, go.moved.scene),
  }
  return gestures.map((gesture) => {
    const moment = momentOf[gesture]
    return moment ? found[moment] : null
  })
}

interface Go {
  players: number
  before: Frame
  /** Null where nothing is rolled, turned or dealt. */
  device: Frame | null
  said: string | null
  moved: Frame
}

/** The first go in which something is worked out and moved; the last one looked at where there is none. */
function goToShow(game: AnyGame, params: unknown): Go | null {
  const players = Math.min(6, playersToShow(game))
  const seed = [...game.id].reduce((sum, letter) => sum + letter.charCodeAt(0), 1)
  let before = firstFrame(newRound(game.id, params, players, seed))
  let last: Go | null = null
  for (let go = 0; go < goesLookedAt; go++) {
    const frames = nextFrames(before)
    const moved = frames.at(-1)
    if (!moved) break
    const asked = frames.flatMap(({ item }) => (item ? [item] : []))
    const sentences = asked.map(sentenceOf).filter(({ length }) => length > 0 && length <= longestSaid)
    last = {
      players,
      before,
      device: frames.find(({ stage }) => stage === 'device') ?? null,
      said: sentences.at(-1) ?? null,
      moved,
    }
    if (moved.stage === 'moved' && !moved.waits && asked.length > 0) break
    before = moved
  }
  return last
}

/** Spots of things that were changed, put there or taken away. */
function changedSpots(before: Scene, after: Scene): Set<string> {
  const known = new Map(before.things.map((one) => [one.id, one]))
  const spots = new Set<string>()
  const note = ({ at }: SceneThing) => spots.add(at)
  for (const one of after.things) {
    const was = known.get(one.id)
    known.delete(one.id)
    if (was && JSON.stringify(was) === JSON.stringify(one)) continue
    note(one)
    if (was) note(was)
  }
  for (const gone of known.values()) note(gone)
  return spots
}

interface Box {
  left: number
  right: number
  top: number
  bottom: number
}

const boxOf = ({ at: [x, y], size: [width, height] }: Spot): Box => ({
  left: x - width / 2,
  right: x + width / 2,
  top: y - height / 2,
  bottom: y + height / 2,
})

const round = (boxes: readonly Box[]): Box => ({
  left: Math.min(...boxes.map(({ left }) => left)),
  right: Math.max(...boxes.map(({ right }) => right)),
  top: Math.min(...boxes.map(({ top }) => top)),
  bottom: Math.max(...boxes.map(({ bottom }) => bottom)),
})

/** The part of the table where something changed, as it is afterwards; null: nothing did. */
function detail(layout: Layout, before: Scene, after: Scene): StepPicture | null {
  const changed = changedSpots(before, after)
  const meant = layout.spots.filter(({ id }) => changed.has(id))
  if (meant.length === 0) return null
  const view = round(meant.map(boxOf))
  const share = ((view.right - view.left) * (view.bottom - view.top)) / (layout.width * layout.height)
  if (share > wholeFrom) return { kind: 'table', layout, scene: after }
  // What lies between and whole: half a square at an edge would only puzzle.
  const within = layout.spots.filter((spot) => {
    const [x, y] = spot.at
    return x >= view.left && x <= view.right && y >= view.top && y <= view.bottom
  })
  const whole = round(within.map(boxOf))
  const margin = 3
  const [dx, dy] = [margin - whole.left, margin - whole.top]
  const ids = new Set(within.map(({ id }) => id))
  return {
    kind: 'table',
    layout: {
      width: whole.right - whole.left + 2 * margin,
      height: whole.bottom - whole.top + 2 * margin,
      spots: within.map(({ label: _label, ...spot }) => ({
        ...spot,
        at: [spot.at[0] + dx, spot.at[1] + dy],
      })),
      paths: layout.paths.filter(([from, to]) => ids.has(from) && ids.has(to)),
    },
    scene: { things: after.things.filter(({ at }) => ids.has(at)) },
  }
}
