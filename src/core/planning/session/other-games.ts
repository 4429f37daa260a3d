import type { StrandId } from '../../skills'
import { candidatesFor, cooledDown, lookedAtClosely, misfits, worthOf } from './candidates'
import type { Figures, PlanContext } from './context'
import { atPace } from './paced'

/** A game that would go as well, with how many of the children known are in their zone at the levels that fit the groups. */
export interface OtherGame {
  gameId: string
  title: string
  /** The strand it practises most for these groups. */
  strand: StrandId
  fitting: number
  known: number
}

/** So many are named: two beside each of six stations, with those that are planned among them. */
const mostNamed = 18

/**
 * Games for these groups by the measure a first plan chooses by, the best first: none that was played lately, none that most
 * groups can't end or that is at nobody's level.
 */
export function otherGames(
  { grouping, room, habits }: PlanContext,
  slotMinutes: number,
  measured: Figures,
): OtherGame[] {
  const figures = atPace(measured, habits.pace.factor)
  const groups = grouping.groups.filter(({ pupils }) => pupils.length > 0)
  return lookedAtClosely(candidatesFor(groups, grouping, room, figures).filter(cooledDown(room)))
    .filter((one) => misfits(one, groups, slotMinutes, figures).length * 2 <= groups.length)
    .map((one) => ({ one, worth: worthOf(one, groups, room, slotMinutes, figures, habits) }))
    .sort((a, b) => b.worth - a.worth)
    .slice(0, mostNamed)
    .map(({ one: { game, strand, at } }) => ({
      gameId: game.id,
      title: game.title,
      strand,
      fitting: at.reduce((sum, { zone }) => sum + zone.fitting, 0),
      known: at.reduce((sum, { zone }) => sum + zone.known, 0),
    }))
}
