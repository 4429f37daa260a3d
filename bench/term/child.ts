import { normal, unit, type Chance } from '@/core/chance/chance'
import { placedBelief, summaryOf, takeIn, type Evidence, type Running } from '@/core/evidence/history'
import { isKnown } from '@/core/evidence/own-step'
import { logistic, type Judgement } from '@/core/evidence/observation'
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

/** A simulated child: what it can do is hidden from all but the simulation. */
export interface SimulatedChild {
  id: string
  /** Ability on addition in the first week, and its growth a week, in logits. */
  base: number
  growth: number
  /** How far ahead of or behind addition each other strand is, in logits. */
  offset: Record<StrandId, number>
  placed: Partial<Record<StrandId, string>>
}

/** A class of Year 1: abilities spread as a mixed-ability class is, growing at different rates. Common practice, no source. */
export function simulatedClass(size: number, chance: Chance): SimulatedChild[] {
  return Array.from({ length: size }, (_, i) => {
    const child: SimulatedChild = {
      id: `child-${i}`,
      base: 7 + 3.5 * normal(chance),
      growth: Math.max(0, 0.12 + 0.1 * normal(chance)),
      offset: Object.fromEntries(strandIds.map((strand) => [strand, 0.8 * normal(chance)])) as Record<
        StrandId,
        number
      >,
      placed: {},
    }
    for (const strand of taught) {
      // The teacher's first guess: near the truth, a step off now and then.
      const guess = abilityOf(child, strand, 0) + 0.8 * normal(chance)
      const { steps } = strandOf(strand)
      child.placed[strand] = (steps.findLast(({ difficulty }) => difficulty < guess) ?? steps[0]).id
    }
    return child
  })
}

/** Hidden ability on a strand after some weeks: as far along its ladder as addition is along its own. */
export function abilityOf({ base, growth, offset }: SimulatedChild, strand: StrandId, weeks: number): number {
  const add = base + growth * weeks
  if (strand === 'add') return add
  const along = add / strandOf('add').steps.at(-1)!.difficulty
  return along * strandOf(strand).steps.at(-1)!.difficulty + offset[strand]
}

/** Right alone by what is hidden, per strand and step. */
export const truth = (child: SimulatedChild, weeks: number): Record<StrandId, number[]> =>
  Object.fromEntries(
    strandIds.map((strand) => {
      const ability = abilityOf(child, strand, weeks)
      return [strand, strandOf(strand).steps.map(({ difficulty }) => logistic(ability - difficulty))]
    }),
  ) as Record<StrandId, number[]>

/** What an adult taps for a child at a step: by its ability, but for a slip. */
export function markOf(child: SimulatedChild, place: StepPlace, weeks: number, chance: Chance): Judgement {
  if (unit(chance) < slips) return (['own', 'help', 'notYet'] as const)[chance.int(0, 2)]
  const ahead = abilityOf(child, place.strand, weeks) - stepOf(place).difficulty
  const u = unit(chance)
  if (u < logistic(ahead)) return 'own'
  return u < logistic(ahead + 1.2) ? 'help' : 'notYet'
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
      notKnown: strandIds.filter(
        (strand) => !isKnown({ observations: this.observations(strand), sd: this.summary(strand).sd }),
      ),
    }
  }

  private on(strand: StrandId): Running {
    return this.running.get(strand) ?? believedByYear(strand, this.year, this.day)
  }
}
