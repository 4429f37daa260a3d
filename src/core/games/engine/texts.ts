import type { SlipReason } from '../../skills'
import type { MoveId } from '../../teaching/moves'
import type { Numbers } from './source'

/** What a child does in a step, for the picture beside it. */
export type Gesture =
  | 'roll'
  | 'spin'
  | 'turn'
  | 'look'
  | 'count'
  | 'say'
  | 'move'
  | 'place'
  | 'build'
  | 'write'
  | 'choose'
  | 'cover'
  | 'check'
  | 'hop'
  | 'pass'

/** One thing a child does, in words a child can read or be read, with what the hand or the voice does. */
export type ChildStep = readonly [gesture: Gesture, words: string]

/** Something about the mathematics that may be seen: a question that probes it, and what to teach then. */
interface Misconception {
  seen: string
  /** A question that does not give the method away. */
  ask: string
  move: MoveId
  /** The wrong answer it leaves, where the move is not named after it. */
  slip?: SlipReason
}

/** What an adult needs to run a level who has never seen it, and a child to play it alone. */
export interface LevelTexts {
  /** What lies where, in a line. */
  setUp: string
  start: string
  end: string
  /** At most five. */
  steps: readonly ChildStep[]
  /** At most six short lines, for the adult: every case that can come up at this level. */
  rules: readonly string[]
  /** What can be seen or heard from a metre away; the first is this level's own. */
  lookFors: readonly [string, ...string[]]
  misconceptions: readonly Misconception[]
  iCan: string
  /** Three to six. */
  words: readonly string[]
  /** Within the game, without another level. */
  easier: string
  harder: string
  stuck: string
  finishEarly: string
  talk: string
  cautions: readonly string[]
  home: string
}

/** A device in words, as the texts need it. */
export interface DeviceWords {
  /** One line of a set-up: “a die”. */
  thing: string
  /** What a child does with it: “Roll the die.” */
  step: ChildStep
  /** The same for an adult: “Roll the die”. */
  use: string
}

/** @param dice where there are several: what is done with them, “and add them” */
export function deviceWords(source: Numbers, several = 'and add them'): DeviceWords {
  switch (source.kind) {
    case 'dice': {
      const { count } = source
      if (count === 1) return { thing: 'a die', step: ['roll', 'Roll the die.'], use: 'Roll the die' }
      const dice = count === 2 ? 'two dice' : `${count} dice`.replace('3', 'three')
      return {
        thing: dice,
        step: ['roll', `Roll the ${dice} ${several}.`],
        use: `Roll the ${dice} ${several}`,
      }
    }
    case 'spinner':
      return {
        thing: `a spinner with 1 to ${source.sectors}`,
        step: ['spin', 'Spin.'],
        use: 'Spin',
      }
    case 'cards':
      return {
        thing: `a pack of cards ${source.low} to ${source.high}`,
        step: ['turn', 'Turn a card.'],
        use: 'Turn a card',
      }
  }
}
