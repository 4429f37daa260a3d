import type { AnyGame, Variant } from '../games'
import { splitIntoSets } from '../games/sets'
import { analyse, type AnalyseInput, type Analysis } from './analyse'

/** The few figures that a change is judged by. */
interface Effect {
  finishInSlot: number | null
  deadShare: number
  waitingShare: number
  /** Null where the time ends the game. */
  goes: number | null
}

/** A change worth making, with what was found by trying it. The interface words it. */
export interface Advice {
  change: Variant<unknown>['change'] | 'smaller-sets'
  amount?: number
  /** What to analyse, plan and play instead. */
  params: unknown
  players: number
  why: 'finishes' | 'less-dead' | 'less-waiting'
  before: Effect
  after: Effect
}

const worthFinish = 0.15
const worthDead = 0.1
const worthWaiting = 0.1
/** A game that ends in the slot this often needs no shortening. */
const oftenEnough = 0.8

/**
 * Tries every change a game offers, and smaller sets, and keeps those that clearly help: a change
 * that finishes more often must be needed, one that spares waiting must not cost the finish.
 * Changes come by how much they help; at most four.
 */
export function advise(input: AnalyseInput, analysis: Analysis): Advice[] {
  const before = effectOf(analysis)
  if (!before) return []
  const found: (Advice & { gain: number })[] = []
  for (const { change, amount, params } of input.game.variants(input.params)) {
    const after = tried({ ...input, params })
    const gain = after && gainOf(before, after)
    if (gain) found.push({ change, amount, params, players: input.players, before, after, ...gain })
  }
  const fewer = smallerSet(input.game, input.players)
  const alone = fewer && tried({ ...input, players: fewer })
  if (fewer && alone && before.waitingShare - alone.waitingShare >= worthWaiting && !spoils(before, alone))
    found.push({
      change: 'smaller-sets',
      amount: fewer,
      params: input.params,
      players: fewer,
      why: 'less-waiting',
      before,
      after: alone,
      gain: before.waitingShare - alone.waitingShare,
    })
  const best = new Map<string, Advice & { gain: number }>()
  for (const advice of found) {
    // Variants of one change come mildest first: the first that finishes often enough will do.
    const known = best.get(advice.change)
    if (!known || ((known.after.finishInSlot ?? 1) < oftenEnough && advice.gain > known.gain))
      best.set(advice.change, advice)
  }
  return [...best.values()]
    .sort((a, b) => b.gain - a.gain)
    .slice(0, 4)
    .map(({ gain: _gain, ...advice }) => advice)
}

function tried(input: AnalyseInput): Effect | null {
  return effectOf(analyse(input))
}

function effectOf({ set, minutes, practice }: Analysis): Effect | null {
  if (!set || !practice) return null
  return {
    finishInSlot: minutes?.finishInSlot ?? null,
    deadShare: set.deadShare,
    waitingShare: practice.waitingShare,
    goes: set.goes?.mean ?? null,
  }
}

function gainOf(before: Effect, after: Effect): { why: Advice['why']; gain: number } | null {
  const finish = (after.finishInSlot ?? 0) - (before.finishInSlot ?? 0)
  if (finish >= worthFinish) return { why: 'finishes', gain: finish }
  const dead = before.deadShare - after.deadShare
  if (dead >= worthDead && !spoils(before, after)) return { why: 'less-dead', gain: dead }
  return null
}

const spoils = (before: Effect, after: Effect) =>
  (after.finishInSlot ?? 1) < (before.finishInSlot ?? 1) - 0.05

/** Players of each set when a set is split in two; null where the game or the number forbids it. */
function smallerSet(game: AnyGame, players: number): number | null {
  if (players < 4) return null
  const halves = splitIntoSets(players, { ...game.players, typical: players / 2 })
  return halves.length >= 2 && halves[0] < players ? halves.at(-1)! : null
}
