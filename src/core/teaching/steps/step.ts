/** How a step is taught beside the games: ten minutes at the adult's table, and two on the carpet. */
export interface StepTeaching {
  iCan: string
  /** Words to use. */
  words: readonly string[]
  table: {
    need: string
    /** What to do, in order. */
    lines: readonly string[]
    say: string
    lookFor: string
  }
  /** Two minutes in a line, at the register or while tidying; nothing is needed. */
  oral: string
}

/** In the order in which an adult reads it. */
export const step = (
  iCan: string,
  words: readonly string[],
  need: string,
  lines: readonly string[],
  say: string,
  lookFor: string,
  oral: string,
): StepTeaching => ({ iCan, words, table: { need, lines, say, lookFor }, oral })
