import type { ThingKind } from '../things'
import type { Face } from '../things/face'

/** A thing as it lies on the table. */
export interface SceneThing {
  /** The same thing has the same id throughout a round. */
  id: string
  kind: ThingKind
  /** Whose it is; null: nobody's. */
  owner: number | null
  /** The id of the spot it lies on. */
  at: string
  /** What it shows; null: it lies hidden, or has nothing to show. */
  face: Face | null
  /** So many equal ones in a heap, a pile or a tower; left out: one. */
  many?: number
}

export interface Scene {
  things: readonly SceneThing[]
}

/**
 * Who looks: a player by number, `table` for what lies open to everybody, `all` for who sets the game up
 * and may see every face.
 */
export type Viewer = number | 'table' | 'all'

/** A change of what lies on the table. */
export type Edit =
  | { op: 'add'; thing: SceneThing }
  | { op: 'remove'; id: string }
  | { op: 'move'; id: string; at: string }
  | { op: 'turn'; id: string; face: Face | null }

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** The edits that make one scene of another: things move and turn, and are only replaced where more changed. */
export function editsBetween(before: Scene, after: Scene): Edit[] {
  const edits: Edit[] = []
  const was = new Map(before.things.map((thing) => [thing.id, thing]))
  const stays = new Set(after.things.map(({ id }) => id))
  for (const { id } of before.things) if (!stays.has(id)) edits.push({ op: 'remove', id })
  for (const thing of after.things) {
    const old = was.get(thing.id)
    if (!old) edits.push({ op: 'add', thing })
    else if (old.kind !== thing.kind || old.owner !== thing.owner || old.many !== thing.many)
      edits.push({ op: 'remove', id: thing.id }, { op: 'add', thing })
    else {
      if (old.at !== thing.at) edits.push({ op: 'move', id: thing.id, at: thing.at })
      if (!same(old.face, thing.face)) edits.push({ op: 'turn', id: thing.id, face: thing.face })
    }
  }
  return edits
}

/** A scene after edits, in order. @throws if an edit names a thing that is not there, or adds one that is */
export function edited(scene: Scene, edits: readonly Edit[]): Scene {
  const things = new Map(scene.things.map((thing) => [thing.id, thing]))
  for (const edit of edits) {
    const id = edit.op === 'add' ? edit.thing.id : edit.id
    const there = things.get(id)
    if ((edit.op === 'add') === (there !== undefined)) throw new Error(`No such edit of ${id}.`)
    if (edit.op === 'add') things.set(id, edit.thing)
    else if (edit.op === 'remove') things.delete(id)
    else if (edit.op === 'move') things.set(id, { ...there!, at: edit.at })
    else things.set(id, { ...there!, face: edit.face })
  }
  return { things: [...things.values()] }
}
