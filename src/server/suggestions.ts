import type { MovingUp } from '@/core/evidence/moving-up'
import { isPressing, suggest, type Suggestion } from '@/core/evidence/suggestion'
import type { Standing } from '@/core/evidence/own-step'
import type { Seen } from '@/core/evidence/seen'
import { gameOf } from '@/core/games'
import { eachItsOwn } from '@/core/grouping/making/mode'
import { fitCost } from '@/core/grouping/problem/fit-cost'
import { schoolDaysBetween, type Day } from '@/core/planning/calendar'
import { whatFits, type WhatFits } from '@/core/planning/what-fits'
import { stepIndex, strandOf, topStep, type StrandId } from '@/core/skills'
import { seenLately, type SeenRow } from '@/data/queries/observations'
import type { StoredGrouping } from '@/data/queries/groupings'
import type { ClassScope } from '@/data/scope'
import { fittingBand, type Child } from './children'
import { practised, successAt } from './figures'
import { stepOfVisit } from './marks/marks'

/** What to play with a child, with the titles of the game and level; `playsNow`: that of the game it plays now. */
export type NamedFit = WhatFits & { game: string; level: string; playsNow: string }

export interface ChildSuggestion {
  id: string
  name: string
  /** Pennant of the child's group; null: in none. */
  pennant: number | null
  strand: StrandId
  /** Id of the child's own step. */
  step: string
  suggestion: Suggestion
  /** Where it may be ready or finds it hard: what would fit. Null: in no group, or there is nothing to change. */
  fits: NamedFit | null
}

interface Found extends ChildSuggestion {
  standing: Standing
  /** By how much nearer to its zone a child would be at the level that fits; 0 where nothing is to be moved. */
  gain: number
}

/** The level a child plays at in its group. */
function levelPlayed(child: Child, grouping: StoredGrouping): string | null {
  const group = grouping.groups.find(({ pupils }) => pupils.includes(child.id))
  if (!group) return null
  if (!eachItsOwn(grouping.mode)) return group.levelId
  const [success] = successAt(grouping.gameId, [child])
  const costs = success.map((share) => fitCost(share, fittingBand))
  return gameOf(grouping.gameId).levels[costs.indexOf(Math.min(...costs))].id
}

/** A child's judgements on a strand, with school days counted from a Monday long ago. */
export const judgedOn = (seen: readonly SeenRow[], strand: StrandId): Seen[] =>
  seen.map(({ step, judged, schoolDay }) => ({
    step: stepIndex({ strand, step }),
    judged,
    day: schoolDaysBetween('2000-01-03', schoolDay),
  }))

/** What the evidence says about each child at its own step, on the strand its groups are made for. */
export async function suggestionsFor(
  scope: ClassScope,
  children: readonly Child[],
  grouping: StoredGrouping | null,
  movingUp: MovingUp,
  today: Day,
): Promise<Found[]> {
  const strand = grouping?.strand ?? 'add'
  const seen = await seenLately(
    scope,
    children.map(({ id }) => ({ pupilId: id, strand })),
  )
  return children.map((child) => {
    const { id, name, estimates } = child
    const { secure, struggling, workingStep, observations, sd } = estimates[strand]
    const levelId = grouping && levelPlayed(child, grouping)
    const marked = levelId && grouping ? stepOfVisit(grouping.gameId, levelId, strand) : null
    const newest = Object.values(estimates)
      .flatMap(({ observations, day }) => (observations > 0 ? [day] : []))
      .sort()
      .at(-1)
    const standing: Standing = {
      seen: judgedOn(
        seen.filter(({ pupilId }) => pupilId === id),
        strand,
      ),
      secure,
      struggling,
      workingStep: stepIndex({ strand, step: workingStep ?? topStep(strand) }),
      plays: marked?.strand === strand ? stepIndex(marked) : null,
      observations,
      sd,
      daysSince: newest === undefined ? null : schoolDaysBetween(newest, today),
    }
    const { step, suggestion } = suggest(standing, movingUp)
    const found =
      levelId && grouping ? fitFor(child, { gameId: grouping.gameId, levelId }, strand, suggestion) : null
    return {
      id,
      name,
      pennant: grouping?.groups.find(({ pupils }) => pupils.includes(id))?.pennant ?? null,
      strand,
      step: strandOf(strand).steps[step].id,
      suggestion,
      fits: found?.fits ?? null,
      standing,
      gain: found?.gain ?? 0,
    }
  })
}

function fitFor(
  child: Child,
  now: { gameId: string; levelId: string },
  strand: StrandId,
  { kind }: Suggestion,
): { fits: NamedFit; gain: number } | null {
  if (kind !== 'ready' && kind !== 'hard') return null
  const wanted = kind === 'ready' ? 'harder' : 'easier'
  const fits = whatFits(child, now, strand, wanted, practised)
  const playsNow = gameOf(now.gameId).title
  if (fits.kind === 'none') return { fits: { ...fits, game: '', level: '', playsNow }, gain: 0 }
  const game = gameOf(fits.gameId)
  const [success] = successAt(now.gameId, [child])
  const here = success[gameOf(now.gameId).levels.findIndex(({ id }) => id === now.levelId)] ?? fits.success
  return {
    fits: {
      ...fits,
      playsNow,
      game: game.title,
      level: game.levels.find(({ id }) => id === fits.levelId)!.title,
    },
    gain: fitCost(here, fittingBand) - fitCost(fits.success, fittingBand),
  }
}

const orderOf = ({ kind, ...said }: Suggestion): number =>
  kind === 'ready' || kind === 'hard'
    ? 0
    : 'why' in said
      ? ['one-day', 'not-seen', 'not-clear'].indexOf(said.why) + 1
      : 4

/** Whom to act on, those first whom it would help most; children with nothing to act on are left out. */
export async function classSuggestions(
  scope: ClassScope,
  children: readonly Child[],
  grouping: StoredGrouping | null,
  movingUp: MovingUp,
  today: Day,
): Promise<ChildSuggestion[]> {
  const found = await suggestionsFor(scope, children, grouping, movingUp, today)
  return found
    .filter(({ suggestion, standing }) => isPressing(suggestion, standing))
    .sort(
      (a, b) =>
        orderOf(a.suggestion) - orderOf(b.suggestion) || b.gain - a.gain || b.standing.sd - a.standing.sd,
    )
    .map(({ standing: _standing, gain: _gain, ...suggestion }) => suggestion)
}
