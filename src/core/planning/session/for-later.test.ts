import { measured } from '../../analysis/testing/measured'
import { believedByYear, isForLater } from '../../evidence/begun'
import { placedBelief, summaryOf } from '../../evidence/history'
import type { YearGroup } from '../../evidence/prior'
import { games } from '../../games'
import { strandIds, strandOf, type StrandId } from '../../skills'
import type { PlannedChild, Practised } from './context'
import { levelOfGroup, successAt } from './levels'

/** Games that have levels of their main strand and of others that are begun later. */
const mixed = games.filter(({ id }) =>
  ['five-flags', 'hidden-corner', 'team-board', 'leaky-claim', 'door-cards'].includes(id),
)
const figures: Practised = {
  profile: (gameId, levelId) => measured(gameId, levelId).steps,
  marked: (gameId, levelId) => measured(gameId, levelId).marked,
}

/** A child who was placed on addition and seen nowhere. */
function placedAt(step: string, yearGroup: YearGroup): PlannedChild {
  const on = (strand: StrandId) =>
    strand === 'add'
      ? placedBelief({ strand, step, sureness: 'sure', day: '2026-11-24' })
      : believedByYear(strand, yearGroup, '2026-11-24')
  const rightAlone = Object.fromEntries(
    strandIds.map((strand) => [strand, summaryOf(on(strand), strand).rightAlone]),
  ) as Record<StrandId, number[]>
  return { id: step, name: step, rightAlone, followed: ['add'], yearGroup, notKnown: [], adultNear: false }
}

test.each(['Reception', 'Year 1', 'Year 2'] as const)(
  'in %s no child is put at a level for what it has not begun where the game has another, however hard or easy that is',
  (yearGroup) => {
    let told = 0
    for (const { id: step } of strandOf('add').steps)
      for (const game of mixed) {
        const child = placedAt(step, yearGroup)
        const later = game.levels.map(({ id }) => isForLater(figures.marked(game.id, id), child))
        if (!later.includes(true)) continue
        const [success] = successAt(game.id, [child], figures)
        later.forEach((is, level) => is && expect(success[level]).toBe(0))
        if (!later.includes(false)) continue
        told++
        const { level } = levelOfGroup(
          game.id,
          { pupils: [child], pairs: [null] },
          { mode: 'similar', ownLevels: true },
          null,
          figures,
        )
        expect([game.id, step, later[level]]).toEqual([game.id, step, false])
      }
    expect(told).toBeGreaterThan(10)
  },
)

test('of what its year group has not begun a child is believed to do hardly one in four alone, of the rest half or more', () => {
  const alone = (strand: StrandId, yearGroup: YearGroup) =>
    summaryOf(believedByYear(strand, yearGroup, ''), strand).rightAlone[0]
  for (const [strand, yearGroup] of [
    ['facts', 'Reception'],
    ['facts', 'Year 1'],
    ['skip-fives', 'Reception'],
    ['skip-more', 'Year 2'],
  ] as const)
    expect([strand, alone(strand, yearGroup) < 0.25]).toEqual([strand, true])
  for (const [strand, yearGroup] of [
    ['facts', 'Year 2'],
    ['skip-fives', 'Year 1'],
    ['add', 'Reception'],
  ] as const)
    expect([strand, alone(strand, yearGroup) > 0.5]).toEqual([strand, true])
})
