import type { Layout } from './layout'
import type { SceneThing, Viewer } from './scene'

/** What a move does, for words and for pointing: ui puts it into a sentence. */
export interface MoveWords {
  verb:
    | 'move'
    | 'cover'
    | 'build'
    | 'fill'
    | 'mark'
    | 'place'
    | 'take'
    | 'let-go'
    | 'keep'
    | 'ask'
    | 'turn'
    | 'choose'
    | 'answer'
    | 'call'
    | 'find'
    | 'mend'
  numbers: readonly number[]
  /** The spots it touches, in the order in which a finger goes over them; the last is where it ends. */
  spots: readonly string[]
  /** Whom it is put to. */
  player?: number
}

/** What of a game lies on the table: the one description that screens, pictures and paper are made from. */
export interface Table<P, S, M> {
  /** Where things can lie. Depends on the rules alone, never on how a round goes. */
  layout(params: P, players: number): Layout
  /** What lies there, as far as the viewer may see it. */
  things(state: S, viewer: Viewer): SceneThing[]
  say(state: S, move: M): MoveWords
  /** What all do on the call, and how often; 0: nobody moves, the key word was not said. */
  calls?(state: S): { action: string; times: number } | null
  /** How much is still possible, where that is what a question is about: numbers that a hidden one can be. */
  left?(state: S): number
  /** What is seen for a moment before it is hidden or covered, and for how long; null: nothing is. */
  glimpse?(state: S): { things: SceneThing[]; milliseconds: number } | null
  /** What a move turns up is seen before it is worked out: a card turned, then added. */
  turnsFirst?: boolean
}
