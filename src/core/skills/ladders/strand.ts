/** One rung of a strand: what a child does, up to which number. */
export interface Step {
  id: string
  /** One sentence of what the child does. */
  sentence: string
  /** Two or three words for a narrow column. */
  short: string
  range: { from: number; to: number }
  /** Difficulty on the strand's scale, in logits. */
  difficulty: number
  /** What "own", "help" and "not yet" look like at this step, so that the mark means the same for every adult. */
  marks: { own: string; help: string; notYet: string }
}

export interface Strand {
  id: StrandId
  title: string
  /** Easy to hard. */
  steps: readonly Step[]
}

export const strandIds = [
  'count',
  'count-back',
  'numerals',
  'how-many',
  'order',
  'add',
  'place',
  'skip-tens',
  'skip-fives',
  'skip-twos',
  'skip-more',
  'facts',
  'time',
  'pattern',
] as const
export type StrandId = (typeof strandIds)[number]

/** Logits between neighbouring steps. */
const stepSpacing = 1.5

type Rung = Omit<Step, 'difficulty' | 'range'> & { to: number; from?: number }

/** Lays rungs on the strand's scale, the first at zero. */
export function ladder(id: StrandId, title: string, rungs: readonly Rung[]): Strand {
  return {
    id,
    title,
    steps: rungs.map(({ from = 0, to, ...rung }, index) => ({
      ...rung,
      range: { from, to },
      difficulty: index * stepSpacing,
    })),
  }
}

/** A rung in one line: the marks are what *own*, *help* and *not yet* look like. */
export const rung = (
  id: string,
  short: string,
  to: number,
  sentence: string,
  [own, help, notYet]: [string, string, string],
): Rung => ({ id, short, to, sentence, marks: { own, help, notYet } })
