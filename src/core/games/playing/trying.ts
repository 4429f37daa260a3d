import { itemKey, type PracticeItem } from '../../skills/item'
import { choicesFor } from '../../skills/slips'
import { gameOf } from '../index'
import { actor, asks, choose, movesOf, moveOf, newRound, roll, wordsFor, type Round } from '../engine/round'
import type { Choice } from '../engine/game'

/** Who plays beside the person: nobody, one that the program plays, or others at the same screen. */
export type Company = 'alone' | 'planner' | 'novice' | 'together'

/** A question that was answered, and how. */
export interface Answered {
  item: PracticeItem
  /** Wrong answers before the right one, the first one first. */
  wrong: readonly number[]
}

/** A game that a person plays: plain data, so that a step is taken back by taking an earlier one. */
export interface Trying {
  round: Round
  company: Company
  /** The move chosen, while its questions are asked. */
  move: unknown
  /** Questions still to be answered, the open one first. */
  open: readonly PracticeItem[]
  /** Wrong answers to the open question. */
  wrong: readonly number[]
  done: readonly Answered[]
  /** The person said that nothing can be done where something can. */
  lookAgain: boolean
  /** Times that the person used the device. */
  goes: number
}

export function beginTrying(
  game: string,
  params: unknown,
  players: number,
  company: Company,
  seed: number,
): Trying {
  return {
    round: newRound(game, params, players, seed),
    company,
    move: null,
    open: [],
    wrong: [],
    done: [],
    lookAgain: false,
    goes: 0,
  }
}

/** True where the person acts now, and not one that the program plays. */
export const isOwnGo = ({ round, company }: Trying): boolean =>
  company === 'alone' || company === 'together' || actor(round) === 0

/**
 * What is worth asking: reading a number is not asked beside something to work out, and nothing is asked that has
 * one answer to choose from (which of two equal numbers is more).
 */
export function worthAsking(all: readonly PracticeItem[]): PracticeItem[] {
  const items = all.filter((item) => choicesFor(item)?.length !== 1)
  const worked = items.filter(({ op }) => op !== 'numeral' && op !== 'order')
  const asked = worked.length > 0 ? worked : items.filter(({ op }) => op === 'numeral').slice(0, 1)
  const keys = new Set<string>()
  return asked.filter((item) => !keys.has(itemKey(item)) && keys.add(itemKey(item)))
}

/** The person, or whoever has the go, uses the device; where one thing can be done its questions follow at once. */
export function deviceUsed(trying: Trying, given?: readonly number[]): Trying {
  const { round } = roll(trying.round, 0, given)
  return onward({ ...trying, round, lookAgain: false, goes: trying.goes + 1 })
}

/** The questions of the only move there is; several have to be chosen from. */
function onward(trying: Trying): Trying {
  const { round } = trying
  if (round.phase !== 'choose' || !isOwnGo(trying)) return trying
  const legal = movesOf(round)
  return legal.length === 1 ? chooseMove(trying, legal[0]) : trying
}

/** A move is chosen: its questions come before it is made. */
export function chooseMove(trying: Trying, move: unknown): Trying {
  const open = worthAsking(asks(trying.round, move))
  const next = { ...trying, move, open, wrong: [], lookAgain: false }
  return open.length === 0 ? made(next) : next
}

/** Answers the open question: right leads on, wrong is looked at again. */
export function answer(trying: Trying, said: number): Trying {
  const [item, ...rest] = trying.open
  if (!item) return trying
  if (said !== item.answer) return { ...trying, wrong: [...trying.wrong, said] }
  const next = { ...trying, open: rest, wrong: [], done: [...trying.done, { item, wrong: trying.wrong }] }
  return rest.length === 0 ? made(next) : next
}

/** The person says that nothing can be done: so it is, or it is looked at again. */
export function pass(trying: Trying): Trying {
  if (trying.round.phase !== 'choose') return trying
  return movesOf(trying.round).length === 0 ? made({ ...trying, move: null }) : { ...trying, lookAgain: true }
}

function made(trying: Trying): Trying {
  const { round } = choose(trying.round, trying.move, 0)
  return onward({ ...trying, round, move: null, open: [], wrong: [], lookAgain: false })
}

/** One step of a player that the program plays. */
export function othersStep(trying: Trying): Trying {
  const { round, company } = trying
  if (isOwnGo(trying) || round.phase === 'over') return trying
  if (round.phase === 'roll') return { ...trying, round: roll(round, 0).round }
  const choice: Choice =
    company === 'novice' || gameOf(round.game).thinksLong?.(round.params) ? 'novice' : 'planner'
  const { move, chance } = moveOf(round, choice)
  return { ...trying, round: choose({ ...round, chance }, move, 0).round }
}

/** Moves by the spot they end on; of several that end there the first. */
export function movesBySpot({ round }: Trying): Map<string, unknown> {
  const found = new Map<string, unknown>()
  for (const move of movesOf(round)) {
    const spot = wordsFor(round, move).spots.at(-1)
    if (spot !== undefined && !found.has(spot)) found.set(spot, move)
  }
  return found
}
