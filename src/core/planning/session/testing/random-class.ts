import { unit, type Chance } from '../../../chance/chance'
import type { ProfileStep } from '../../../skills/marked-step'
import { gameOf, games } from '../../../games'
import { strandIds, strandOf, type StrandId } from '../../../skills'
import { addDays } from '../../calendar'
import type { Figures, PlanContext, PlannedChild, Room } from '../context'
import { firstPlan } from '../first-plan'
import { noHabits } from '../habits'
import type { Played } from '../past'
import type { SessionFrame } from '../plan'

const strands: StrandId[] = ['add', 'how-many', 'numerals', 'count']
export const strandBy = new Map(games.map(({ id }, i) => [id, strands[i % strands.length]]))

function harderEachTime(gameId: string, levelId: string): ProfileStep[] {
  const strand = strandBy.get(gameId)!
  const { steps } = strandOf(strand)
  const { levels } = gameOf(gameId)
  const at = levels.findIndex(({ id }) => id === levelId)
  return [{ strand, step: steps[Math.floor((at * steps.length) / levels.length)].id, share: 1 }]
}

/** Invented figures: each game practises one strand, a harder step at each level; most games end in the slot. */
export const figures: Figures = {
  around: () => 1,
  profile: harderEachTime,
  marked: harderEachTime,
  finish: (gameId) => (gameId.length % 5 === 0 ? 0.4 : 0.95),
  usualMinutes: (gameId) => (gameId.length % 4 === 0 ? 3 : 8),
}

const today = '2026-11-26'

function childAt(id: string, ability: number): PlannedChild {
  const rightAlone = Object.fromEntries(
    strandIds.map((strand) => [
      strand,
      strandOf(strand).steps.map(({ difficulty }) => 1 / (1 + Math.exp(difficulty - ability))),
    ]),
  ) as Record<StrandId, number[]>
  return {
    id,
    name: id,
    rightAlone,
    followed: strandIds,
    yearGroup: 'Year 1',
    notKnown: [],
    adultNear: false,
  }
}

/** A class in groups of three to six, some of whom have played some games in the weeks before. */
export function randomClass(chance: Chance): PlanContext & { room: Room } {
  const groups = Array.from({ length: chance.int(1, 8) }, (_, g) => {
    const around = 6 * unit(chance)
    return {
      id: `group ${g}`,
      pennant: g,
      pupils: Array.from({ length: chance.int(3, 6) }, (_, i) =>
        childAt(`child ${g} ${i}`, around + unit(chance)),
      ),
      pairs: [],
    }
  })
  const days = [1, 2, 6, 9].map((ago) => addDays(today, -ago))
  const played = days.flatMap((day): Played[] =>
    Array.from({ length: 3 }, () => games[chance.int(0, games.length - 1)].id).flatMap((gameId) =>
      groups.flatMap(({ pupils }) =>
        pupils.map(({ id }) => ({ pupilId: id, gameId, mode: 'own' as const, day })),
      ),
    ),
  )
  return {
    grouping: { id: 'grouping', mode: 'similar', ownLevels: true, groups },
    seatedBefore: [],
    kept: null,
    habits: noHabits,
    room: {
      inventory: {},
      bagged: [],
      played,
      marks: [],
      begun: strands,
      practised: { add: addDays(today, -1) },
      day: today,
    },
  }
}

export const planFor = (context: PlanContext, frame?: SessionFrame) => {
  let ids = 0
  return firstPlan(
    today,
    context,
    figures,
    () => `00000000-0000-4000-8000-${String(ids++).padStart(12, '0')}`,
    frame,
  )
}
