import { normal, unit, type Chance } from '@/core/chance/chance'
import { placedBelief, summaryOf, takeIn, type Evidence, type Running } from '@/core/evidence/history'
import { isKnown } from '@/core/evidence/own-step'
import { judgements, logistic, type Judgement } from '@/core/evidence/observation'
import { believedByYear } from '@/core/evidence/begun'
import type { YearGroup } from '@/core/evidence/prior'
import type { Summary } from '@/core/evidence/estimate'
import type { Seen } from '@/core/evidence/seen'
import { schoolDaysBetween, type Day } from '@/core/planning/calendar'
import type { PlannedChild } from '@/core/planning/session/context'
import {
  placedStrands,
  stepIndex,
  stepOf,
  strandIds,
  strandOf,
  type StepPlace,
  type StrandId,
} from '@/core/skills'

/** Strands the class works on from the first week. */
const taught: readonly StrandId[] = [...placedStrands, 'count', 'order']
/** Of marks as many are slips: nothing to do with what the child can. */
const slips = 0.03

/** What a simulated child can do: hidden from all but the simulation. */
export interface Hidden {
  /** Ability on addition in the first week, and its growth a week, in logits. */
  base: number
  growth: number
  /** How far ahead of or behind addition each other strand is, in logits. */
  offset: Record<StrandId, number>
}

export interface SimulatedChild extends Hidden {
  id: string
  placed: Partial<Record<StrandId, string>>
}

/** How far the teacher's first guess is off, in logits: near the truth, a step off now and then. */
const guessOff = 0.8

/** A child of Year 1: abilities spread as in a mixed-ability class, growing at different rates. Common practice, no source. */
export const randomChild = (chance: Chance): Hidden => ({
  base: 7 + 3.5 * normal(chance),
  growth: Math.max(0, 0.12 + 0.1 * normal(chance)),
  offset: Object.fromEntries(strandIds.map((strand) => [strand, 0.8 * normal(chance)])) as Hidden['offset'],
})

/** A class of such children, each placed where its teacher guesses it to be. */
export function simulatedClass(size: number, chance: Chance): SimulatedChild[] {
  return Array.from({ length: size }, (_, i) => {
    const child: SimulatedChild = { id: `child-${i}`, ...randomChild(chance), placed: {} }
    for (const strand of taught) {
      const guess = abilityOf(child, strand, 0) + guessOff * normal(chance)
      const { steps } = strandOf(strand)
      child.placed[strand] = (steps.findLast(({ difficulty }) => difficulty < guess) ?? steps[0]).id
    }
    return child
  })
}

/** How likely it is that the teacher's first guess is this step. */
export function chanceOfPlacing(child: Hidden, strand: StrandId, step: string): number {
  const { steps } = strandOf(strand)
  const at = stepIndex({ strand, step })
  const guessBelow = (difficulty: number) =>
    normalBelow((difficulty - abilityOf(child, strand, 0)) / guessOff)
  const next = steps[at + 1]
  return (next ? guessBelow(next.difficulty) : 1) - (at > 0 ? guessBelow(steps[at].difficulty) : 0)
}

/** P(a standard normal number ≤ z), to 1e-7 (Abramowitz & Stegun 1964, 26.2.17, from memory). */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const series =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  const above = (series * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI)
  return z > 0 ? 1 - above : above
}

/** Difficulty of each ladder's last step, in logits. */
const ends = Object.fromEntries(
  strandIds.map((strand) => [strand, strandOf(strand).steps.at(-1)!.difficulty]),
) as Record<StrandId, number>

/** Hidden ability on a strand after some weeks: as far along its ladder as addition is along its own. */
export function abilityOf({ base, growth, offset }: Hidden, strand: StrandId, weeks: number): number {
  const add = base + growth * weeks
  if (strand === 'add') return add
  return (add / ends.add) * ends[strand] + offset[strand]
}

/** Right alone by what is hidden, per strand and step. */
export const truth = (child: Hidden, weeks: number): Record<StrandId, number[]> =>
  Object.fromEntries(
    strandIds.map((strand) => {
      const ability = abilityOf(child, strand, weeks)
      return [strand, strandOf(strand).steps.map(({ difficulty }) => logistic(ability - difficulty))]
    }),
  ) as Record<StrandId, number[]>

/** How likely each mark is for a child at a step: by its ability, but for slips. */
export function chanceOfMark(child: Hidden, place: StepPlace, weeks: number): Record<Judgement, number> {
  const ahead = abilityOf(child, place.strand, weeks) - stepOf(place).difficulty
  const own = logistic(ahead)
  const ownOrHelp = logistic(ahead + 1.2)
  const butForSlips = (chance: number) => (1 - slips) * chance + slips / judgements.length
  return {
    own: butForSlips(own),
    help: butForSlips(ownOrHelp - own),
    notYet: butForSlips(1 - ownOrHelp),
  }
}

/** What an adult taps for a child at a step. */
export function markOf(child: Hidden, place: StepPlace, weeks: number, chance: Chance): Judgement {
  const { own, help } = chanceOfMark(child, place, weeks)
  const u = unit(chance)
  if (u < own) return 'own'
  return u < own + help ? 'help' : 'notYet'
}

/** What is believed of one child, as the product believes it: from its placements and marks alone. */
export class Believed {
  private readonly running = new Map<StrandId, Running>()
  private readonly summaries = new Map<StrandId, Summary>()
  readonly seen: (StepPlace & { judged: Judgement; day: Day })[] = []

  constructor(
    readonly id: string,
    private readonly year: YearGroup,
    private readonly day: Day,
    placed: SimulatedChild['placed'],
  ) {
    for (const [strand, step] of Object.entries(placed) as [StrandId, string][])
      this.running.set(strand, placedBelief({ strand, step, sureness: 'about', day }))
  }

  take(place: StepPlace, judged: Judgement, day: Day) {
    const { strand, step } = place
    const row: Evidence = { strand, step, judged, right: null, of: null, weight: 1, guess: 0, schoolDay: day }
    this.running.set(strand, takeIn(this.on(strand), row, schoolDaysBetween))
    this.summaries.delete(strand)
    this.seen.push({ strand, step, judged, day })
  }

  /** Strands it was placed on or seen at. */
  followed = (): StrandId[] => [...this.running.keys()]

  summary(strand: StrandId): Summary {
    let made = this.summaries.get(strand)
    if (!made) this.summaries.set(strand, (made = summaryOf(this.on(strand), strand)))
    return made
  }

  observations = (strand: StrandId): number => this.running.get(strand)?.observations ?? 0

  /** Marks on a strand as they are judged by. */
  judgedOn = (strand: StrandId): Seen[] =>
    this.seen
      .filter((one) => one.strand === strand)
      .map(({ step, judged, day }) => ({
        step: stepIndex({ strand, step }),
        judged,
        day: schoolDaysBetween('2000-01-03', day),
      }))

  /** The child as a plan sees it. */
  planned(): PlannedChild {
    return {
      id: this.id,
      name: this.id,
      rightAlone: Object.fromEntries(
        strandIds.map((strand) => [strand, this.summary(strand).rightAlone]),
      ) as unknown as PlannedChild['rightAlone'],
      followed: this.followed(),
      yearGroup: this.year,
      adultNear: false,
      notKnown: strandIds.filter(
        (strand) => !isKnown({ observations: this.observations(strand), sd: this.summary(strand).sd }),
      ),
    }
  }

  private on(strand: StrandId): Running {
    return this.running.get(strand) ?? believedByYear(strand, this.year, this.day)
  }
}
