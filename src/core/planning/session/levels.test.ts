import { measureLevel } from '../../analysis/level-measure'
import { ownBand } from '../../evidence/fit'
import { gameOf } from '../../games'
import { fitCost } from '../../grouping/problem/fit-cost'
import type { GroupingMode } from '../../grouping/making/mode'
import { strandIds, strandOf, type StrandId } from '../../skills'
import type { PlannedChild } from './context'
import { levelOfGroup as levelBy } from './levels'

const profiles = new Map(
  gameOf('landfall').levels.map(({ id, params }) => [id, measureLevel(gameOf('landfall'), params).steps]),
)
const figures = { profile: (_game: string, level: string) => profiles.get(level)! }
const levelOfGroup = (
  gameId: string,
  group: Parameters<typeof levelBy>[1],
  mode: GroupingMode,
  chosen: number | null,
) => levelBy(gameId, group, { mode, ownLevels: false }, chosen, figures)

/** A child that is right alone by one ability on every strand, in logits. */
function childAt(id: string, ability: number): PlannedChild {
  const rightAlone = Object.fromEntries(
    strandIds.map((strand) => [
      strand,
      strandOf(strand).steps.map(({ difficulty }) => 1 / (1 + Math.exp(difficulty - ability))),
    ]),
  ) as Record<StrandId, number[]>
  return { id, name: id, rightAlone, notKnown: [] }
}

const group = (abilities: number[], pairs?: (number | null)[]) => ({
  pupils: abilities.map((ability, i) => childAt(`c${i}`, ability)),
  pairs: pairs ?? abilities.map(() => null),
})
const levels = gameOf('landfall').levels.length

test('one level for all: no other would cost children who are alike less', () => {
  for (const ability of [2, 5, 8, 11, 14]) {
    const alike = group([ability, ability])
    const { level, own, success } = levelOfGroup('landfall', alike, 'similar', null)
    expect(own).toBeNull()
    for (let other = 0; other < levels; other++) {
      const there = levelOfGroup('landfall', alike, 'similar', other).success
      expect(fitCost(success, ownBand)).toBeLessThanOrEqual(fitCost(there, ownBand) + 1e-12)
    }
    expect(levelOfGroup('landfall', alike, 'similar', level).success).toBe(success)
  }
})

test('own ranges: each child at the level that would suit it alone; pairs at one for both', () => {
  const abilities = [3, 12, 4, 13]
  const alone = abilities.map((ability) => levelOfGroup('landfall', group([ability]), 'similar', null).level)
  const mixed = levelOfGroup('landfall', group(abilities), 'mixed', null)
  expect(mixed.own).toEqual(alone)
  expect(new Set(alone).size).toBeGreaterThan(1)
  expect(mixed.fitting).toBeGreaterThanOrEqual(
    levelOfGroup('landfall', group(abilities), 'similar', null).fitting,
  )
  const pairs = levelOfGroup('landfall', group(abilities, [0, 1, 0, 1]), 'pairs', null).own!
  expect(pairs[0]).toBe(pairs[2])
  expect(pairs[1]).toBe(pairs[3])
})

test('a level the teacher set stands for all; an empty group has one too', () => {
  const last = levels - 1
  expect(levelOfGroup('landfall', group([3, 12]), 'mixed', last)).toMatchObject({ level: last, own: null })
  expect(levelOfGroup('landfall', group([]), 'similar', null)).toEqual({
    level: 0,
    own: null,
    fitting: 0,
    zone: { fitting: 0, known: 0, notKnown: 0 },
    tooHard: 0,
    success: 0,
  })
})
