import { z } from 'zod'
import { seededChance } from '../../chance/chance'
import { affinePlane, shiftedRows, turnedRound, type Rounds } from './constructions'
import { arrange, eachPairOnce } from './meetings'
import { fewestRepeats, groupSizes } from './sizes'

export const partnersInputSchema = z
  .object({
    children: z.number().int().min(2).max(40),
    size: z.number().int().min(2).max(12),
    rounds: z.number().int().min(1).max(60),
    /** Meetings there have been before: two children, counted from 0, and how often. */
    met: z
      .array(z.tuple([z.number().int().min(0), z.number().int().min(0), z.number().int().min(1).max(1000)]))
      .max(1000)
      .default([]),
    seed: z.number().int().default(1),
    /** Swaps weighed up by the search; a budget, not a clock, so that equal seeds give equal rounds. */
    tries: z.number().int().min(1000).max(50_000_000).default(3_000_000),
  })
  .superRefine(({ children, size, met }, context) => {
    if (size > children)
      context.addIssue({ code: 'custom', path: ['size'], message: `There are ${children} children.` })
    met.forEach(([a, b], index) => {
      if (a >= children || b >= children || a === b)
        context.addIssue({
          code: 'custom',
          path: ['met', index],
          message: `Two different children, from 0 to ${children - 1}.`,
        })
    })
  })

export type PartnersInput = z.infer<typeof partnersInputSchema>

export interface PartnerRounds {
  rounds: Rounds
  /** Σ over pairs of max(0, meetings − 1), meetings before included. */
  repeats: number
  /** No rounds can have fewer: proved by counting, though there may be none that have as few. */
  fewest: number
}

/**
 * Who plays with whom over the rounds, so that meetings repeat as little as possible: by construction
 * where the numbers allow one, else the best that a search finds. Kirkman's fifteen (1850) in threes over
 * seven days is one such puzzle, and has rounds in which every two meet exactly once.
 */
export function partnerRounds({ children, size, rounds, met, seed, tries }: PartnersInput): PartnerRounds {
  const chance = seededChance(seed)
  const sizes = groupSizes(children, size)
  const before = new Float64Array(children * children)
  for (const [a, b, times] of met) before[Math.min(a, b) * children + Math.max(a, b)] += times
  const fewest = fewestRepeats(children, sizes, rounds)
  const isLong = (made: Rounds | null) => made !== null && rounds <= made.length
  // Those that are written down at once come before the one that is a search of its own.
  const perfect =
    met.length > 0
      ? null
      : ([affinePlane(children, size), shiftedRows(children, size)].find(isLong) ??
        turnedRound(children, size, chance))
  const found =
    perfect && isLong(perfect)
      ? perfect.slice(0, rounds)
      : arrange(eachPairOnce(children, sizes, rounds, before), chance, tries, fewest).rounds
  return { rounds: found, repeats: repeatsOf(found, children, before), fewest }
}

/** Σ over pairs of max(0, meetings − 1). */
function repeatsOf(rounds: Rounds, children: number, before?: Float64Array): number {
  const meetings = before ? before.slice() : new Float64Array(children * children)
  for (const groups of rounds)
    for (const group of groups)
      group.forEach((a, i) => {
        for (const b of group.slice(i + 1)) meetings[Math.min(a, b) * children + Math.max(a, b)]++
      })
  return meetings.reduce((sum, count) => sum + Math.max(0, count - 1), 0)
}
