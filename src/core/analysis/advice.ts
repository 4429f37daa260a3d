import { cumulative } from '../chance/distribution'
import type { AnyGame, Variant } from '../games'
import { splitIntoSets } from '../games/engine/sets'
import { analyse, type AnalyseInput, type Analysis } from './analyse'

/** Minutes up to which the chance of ending is kept. */
const minutesKept = 60

/** The few figures that a change is judged by, whatever the slot. */
interface Effect {
  /** P(the game ends within m minutes); null where the time ends it. */
  within: number[] | null
  deadShare: number
  waitingShare: number
  /** Null where the time ends the game. */
  goes: number | null
}

/** The same for one slot. */
interface EffectInSlot extends Omit<Effect, 'within'> {
  finishInSlot: number | null
}

interface TriedChange {
  change: Variant<unknown>['change'] | 'smaller-sets'
  amount?: number
  /** What to analyse, plan and play instead. */
  params: unknown
  players: number
  after: Effect
}

/** A game as it is and every change it offers, each tried: what takes long, and hangs on no slot. */
export interface Tried {
  before: Effect | null
  changes: TriedChange[]
}

/** A change worth making, with what was found by trying it. The interface words it. */
export interface Advice extends Omit<TriedChange, 'after'> {
  why: 'finishes' | 'less-dead' | 'less-waiting'
  before: EffectInSlot
  after: EffectInSlot
}

const worthFinish = 0.15
const worthDead = 0.1
const worthWaiting = 0.1
/** A game that ends in the slot this often needs no shortening. */
const oftenEnough = 0.8

/** P(the game ends within 0, 1, … minutes); null where the time ends it. */
export const withinMinutes = ({ minutes }: Pick<Analysis, 'minutes'>): number[] | null =>
  minutes && Array.from({ length: minutesKept + 1 }, (_, minute) => cumulative(minutes.seconds, minute * 60))

/** Tries every change a game offers, and smaller sets. */
export function tryChanges(input: AnalyseInput, analysis: Analysis): Tried {
  const before = effectOf(analysis)
  if (!before) return { before, changes: [] }
  const { game, params: rules, players } = input
  const fewer = smallerSet(game, players)
  const changes = [
    ...game.variants(rules).map((variant) => ({ ...variant, players })),
    ...(fewer ? [{ change: 'smaller-sets' as const, amount: fewer, params: rules, players: fewer }] : []),
  ]
  return {
    before,
    changes: changes.flatMap((change) => {
      const after = effectOf(analyse({ ...input, params: change.params, players: change.players }))
      return after ? [{ ...change, after }] : []
    }),
  }
}

/**
 * Of the changes tried those that clearly help in a slot: a change that finishes more often must be needed, one
 * that spares waiting must not cost the finish. By how much they help; at most four.
 * @param slotMinutes minutes to play in, at most 60
 */
export function adviceIn({ before: plain, changes }: Tried, slotMinutes: number): Advice[] {
  if (!plain) return []
  const before = inSlot(plain, slotMinutes)
  const best = new Map<string, Advice & { gain: number }>()
  for (const { after: found, ...change } of changes) {
    const after = inSlot(found, slotMinutes)
    const gain = gainOf(change.change, before, after)
    if (!gain) continue
    // Variants of one change come mildest first: the first that finishes often enough will do.
    const known = best.get(change.change)
    if (!known || ((known.after.finishInSlot ?? 1) < oftenEnough && gain.gain > known.gain))
      best.set(change.change, { ...change, before, after, ...gain })
  }
  return [...best.values()]
    .sort((a, b) => b.gain - a.gain)
    .slice(0, 4)
    .map(({ gain: _gain, ...advice }) => advice)
}

function effectOf(analysis: Analysis): Effect | null {
  const { set, practice } = analysis
  if (!set || !practice) return null
  return {
    within: withinMinutes(analysis),
    deadShare: set.deadShare,
    waitingShare: practice.waitingShare,
    goes: set.goes?.mean ?? null,
  }
}

/** Between two whole minutes in proportion. */
function between(within: readonly number[], minutes: number): number {
  const whole = Math.floor(minutes)
  const low = within[whole]
  return low + ((within[whole + 1] ?? low) - low) * (minutes - whole)
}

const inSlot = ({ within, ...rest }: Effect, slotMinutes: number): EffectInSlot => ({
  ...rest,
  finishInSlot: within && between(within, Math.min(minutesKept, slotMinutes)),
})

function gainOf(
  change: TriedChange['change'],
  before: EffectInSlot,
  after: EffectInSlot,
): { why: Advice['why']; gain: number } | null {
  if (change === 'smaller-sets') {
    const waiting = before.waitingShare - after.waitingShare
    return waiting >= worthWaiting && !spoils(before, after) ? { why: 'less-waiting', gain: waiting } : null
  }
  const finish = (after.finishInSlot ?? 0) - (before.finishInSlot ?? 0)
  if (finish >= worthFinish) return { why: 'finishes', gain: finish }
  const dead = before.deadShare - after.deadShare
  if (dead >= worthDead && !spoils(before, after)) return { why: 'less-dead', gain: dead }
  return null
}

const spoils = (before: EffectInSlot, after: EffectInSlot) =>
  (after.finishInSlot ?? 1) < (before.finishInSlot ?? 1) - 0.05

/** Players of each set when a set is split in two; null where the game or the number forbids it. */
function smallerSet(game: AnyGame, players: number): number | null {
  if (players < 4) return null
  const halves = splitIntoSets(players, { ...game.players, typical: players / 2 })
  return halves.length >= 2 && halves[0] < players ? halves.at(-1)! : null
}
