import type { PlacedPlan, StationMode } from '../session/plan'

/** A visit as it stands in the session. */
export interface RunningVisit {
  id: string
  slot: number
  stationId: string
  groupId: string
}

/** A session under way: its plan, the slot it is in, and who is there. */
export interface Running {
  plan: PlacedPlan
  /** Under way, from 0; those before it are over. */
  slot: number
  visits: readonly RunningVisit[]
  /** Children of each group who are there. */
  present: Readonly<Record<string, readonly string[]>>
}

export type WayKind =
  'shorten' | 'drop-slot' | 'tomorrow' | 'on-its-own' | 'close-station' | 'join-group' | 'adult-plays'

/** What the rest of the session could be instead; visits that are named nowhere in it stay as they are. */
export interface Change {
  kind: WayKind
  slots: number
  slotMinutes: number
  /** Visits that move to another slot or station. */
  moved: readonly { visitId: string; slot: number; stationId: string }[]
  /** Visits that are not held. */
  dropped: readonly string[]
  /** Stations whose adult is not there any more. */
  modes: readonly { stationId: string; mode: StationMode }[]
  /** Children who play with another group from now on, at these visits of it. */
  joins: readonly { pupilId: string; visitIds: readonly string[] }[]
}

/** Who misses what by a change. */
export type Loss =
  | { kind: 'visit'; groupId: string; stationId: string }
  | { kind: 'adult'; groupId: string }
  | { kind: 'strand'; groupId: string; strand: string }
  | { kind: 'minutes'; each: number; to: number }
  | { kind: 'unfinished'; groupId: string; stationId: string }
  | { kind: 'again'; groupId: string; stationId: string }
  | { kind: 'too-hard'; groupId: string; stationId: string }

/** A way to go on, with what it loses; the cheapest first. */
export interface Way extends Change {
  id: string
  loses: Loss[]
  cost: number
}

/** The plan as it is after a change. */
export function planAfter({ plan, visits }: Running, change: Change): PlacedPlan {
  const moved = new Map(change.moved.map((one) => [one.visitId, one]))
  const modes = new Map(change.modes.map(({ stationId, mode }) => [stationId, mode]))
  const levels = new Map(plan.cells.map((cell) => [`${cell.slot} ${cell.groupId}`, cell]))
  return {
    ...plan,
    slots: change.slots,
    slotMinutes: change.slotMinutes,
    stations: plan.stations.map((station) => ({ ...station, mode: modes.get(station.id) ?? station.mode })),
    cells: visits
      .filter(({ id }) => !change.dropped.includes(id))
      .map((visit) => {
        const now = moved.get(visit.id) ?? visit
        const before = levels.get(`${visit.slot} ${visit.groupId}`)!
        const sameStation = now.stationId === visit.stationId
        return {
          slot: now.slot,
          groupId: visit.groupId,
          stationId: now.stationId,
          pinned: before.pinned,
          // Elsewhere it is another game: at the level that fits.
          levelId: sameStation ? before.levelId : null,
        }
      }),
  }
}

/** Nothing is changed but what is named. */
export const changeOf = (
  { plan: { slots, slotMinutes } }: Running,
  kind: WayKind,
  what: Partial<Omit<Change, 'kind'>>,
): Change => ({ kind, slots, slotMinutes, moved: [], dropped: [], modes: [], joins: [], ...what })
