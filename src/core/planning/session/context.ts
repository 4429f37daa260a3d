import type { Beginner } from '../../evidence/begun'
import type { ProfileStep } from '../../skills/marked-step'
import type { GroupingMode } from '../../grouping/making/mode'
import type { StrandId } from '../../skills'
import type { Inventory } from '../inventory'
import type { Day } from '../calendar'
import type { Habits } from './habits'
import type { MarksLately, Played, SeatedBefore } from './past'

/** What says how a child will do at a level. */
export interface Learner extends Beginner {
  /** Per strand and step of its ladder: expected share right alone. */
  rightAlone: Record<StrandId, readonly number[]>
}

/** A child as a plan sees it. */
export interface PlannedChild extends Learner {
  id: string
  name: string
  /** Strands on which too little was seen to say how a level fits. */
  notKnown: readonly StrandId[]
  /** An adult should be near wherever it plays. */
  adultNear: boolean
}

/** What the levels of a game practise. */
export type Practised = Pick<Figures, 'profile' | 'marked'>

/** The groups a plan is made for, with the children who are still in the class. */
export interface PlannedGroup {
  id: string
  pennant: number
  pupils: PlannedChild[]
  /** Children by the pair they play in, where they play in pairs. */
  pairs: (number | null)[]
}

/** How levels are given within groups. */
export interface LevelsWithin {
  mode: GroupingMode
  /** A child whom its group's level does not suit plays at its own, where the game can be played beside others. */
  ownLevels: boolean
}

export interface PlannedGrouping extends LevelsWithin {
  id: string
  groups: PlannedGroup[]
}

/** What is known of games; worked out elsewhere, from their rules. */
export interface Figures {
  /** Share of a level's items that practise each step. */
  profile(gameId: string, levelId: string): readonly ProfileStep[]
  /** The same of the items a level is played for. */
  marked(gameId: string, levelId: string): readonly ProfileStep[]
  /** Chance that a set lays a game out, ends it and packs it up in a slot; null: the time ends it. */
  finish(gameId: string, levelId: string, players: number, slotMinutes: number): number | null
  /** Minutes within which half of the games of a set end; null: the time ends it, or they last longer than is counted. */
  usualMinutes(gameId: string, levelId: string, players: number): number | null
  /** Minutes to lay a game out and to pack it up. */
  around(gameId: string, levelId: string, players: number): number
}

/** What the rules of the room are about beside the plan: the shelf, and what was played before. */
export interface Room {
  inventory: Inventory
  /** Games with a bag: what was printed for them is there. */
  bagged: readonly string[]
  played: readonly Played[]
  marks: readonly MarksLately[]
  /** Strands that the class works on and at least half of it has begun: what a plan may offer of itself. */
  begun: readonly StrandId[]
  /** Strand → the last day on which a child of the class was seen on it. */
  practised: Partial<Record<StrandId, Day>>
  day: Day
}

/** What a session was kept with, by slot and group: who sits with whom, and who plays at another level than its group. */
export type KeptVisits = readonly {
  slot: number
  groupId: string
  seats: string[][]
  ownLevels: Record<string, string>
}[]

/** What a plan is worked out from beside itself: plain data, so that it can be handed to another thread. */
export interface PlanContext {
  grouping: PlannedGrouping
  /** Who played with whom in the weeks before, oldest first. */
  seatedBefore: readonly SeatedBefore[]
  /** What stays as it was kept; null: groups are seated anew, with the seats of before in mind, at the levels of now. */
  kept: KeptVisits | null
  /** Null: a plan that is only run or looked at, whose rules nobody asks about. */
  room: Room | null
  /** What the class has shown of itself at its stations. */
  habits: Habits
}
