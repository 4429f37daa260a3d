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
  'recall',
  'place',
  'skip-tens',
  'skip-fives',
  'skip-twos',
  'skip-more',
  'groups',
  'facts',
  'coins',
  'time',
  'pattern',
] as const
export type StrandId = (typeof strandIds)[number]

/** Logits between neighbouring steps. */
const stepSpacing = 1.5

type Rung = Omit<Step, 'difficulty' | 'range'> & { to: number; from?: number; between?: true }

/**
 * Lays rungs on the strand's scale, the first at zero. One that was put in later stands between its neighbours, so that
 * what is believed of children on the others stays as it is.
 */
export function ladder(id: StrandId, title: string, rungs: readonly Rung[]): Strand {
  return {
    id,
    title,
    steps: rungs.map(({ from = 0, to, between: _between, ...rung }, index) => ({
      ...rung,
      range: { from, to },
      difficulty: placeOnScale(rungs, index) * stepSpacing,
    })),
  }
}

/** In spacings above the first rung. */
function placeOnScale(rungs: readonly Rung[], index: number): number {
  const steady = rungs.slice(0, index).filter(({ between }) => !between).length
  if (!rungs[index].between) return steady
  let first = index
  while (rungs[first - 1]?.between) first--
  let last = index
  while (rungs[last + 1]?.between) last++
  // In the lower third of the gap: a child placed on the rung above is still working on that one, see `priorOf`.
  return steady - 1 + (index - first + 1) / (3 * (last - first + 1))
}

/** The same put in later between two others. */
export const between = (rung: Rung): Rung => ({ ...rung, between: true })

/** A rung in one line: the marks are what *own*, *help* and *not yet* look like. */
export const rung = (
  id: string,
  short: string,
  to: number,
  sentence: string,
  [own, help, notYet]: [string, string, string],
): Rung => ({ id, short, to, sentence, marks: { own, help, notYet } })
