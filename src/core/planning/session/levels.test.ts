import { measured } from '../../analysis/testing/measured'
import { seededChance, unit } from '../../chance/chance'
import { ownBand } from '../../evidence/fit'
import { gameOf, games } from '../../games'
import { fitCost, inBand } from '../../grouping/problem/fit-cost'
import type { GroupingMode } from '../../grouping/making/mode'
import { strandIds, strandOf, type StrandId } from '../../skills'
import type { PlannedChild } from './context'
import { levelBeside, levelOfGroup as levelBy, playedBeside } from './levels'

const profile = (gameId: string, levelId: string) => measured(gameId, levelId).steps
const figures = { profile, marked: profile }
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

/** Landfall for groups of similar level, in which a child may play at its own. */
const withOwn = (pupils: PlannedChild[], chosen: number | null = null) =>
  levelBy(
    'landfall',
    { pupils, pairs: pupils.map(() => null) },
    { mode: 'similar', ownLevels: true },
    chosen,
    figures,
  )
const shareAt = ({ rightAlone }: PlannedChild, level: number) =>
  profile('landfall', gameOf('landfall').levels[level].id).reduce(
    (sum, { strand, step, share }) =>
      sum + share * rightAlone[strand][strandOf(strand).steps.findIndex(({ id }) => id === step)],
    0,
  )
const fits = (child: PlannedChild, level: number) => inBand(shareAt(child, level), ownBand)

test('own levels, 500 random groups: whoever is known and not suited plays at the nearest level that suits, all others at the group’s', () => {
  const chance = seededChance(31)
  let [own, unknown] = [0, 0]
  for (let round = 0; round < 500; round++) {
    const middle = 12 * unit(chance)
    const pupils = Array.from({ length: chance.int(2, 6) }, (_, i) => ({
      ...childAt(`c${i}`, middle + 6 * (unit(chance) - 0.5)),
      notKnown: chance.int(0, 3) === 0 ? [...strandIds] : [],
    }))
    const same = levelOfGroup('landfall', { pupils, pairs: pupils.map(() => null) }, 'similar', null)
    const found = withOwn(pupils)
    // Of those known at least as many are in their zone as at one level for all.
    expect(found.zone.fitting).toBeGreaterThanOrEqual(same.zone.fitting)
    // Nobody who may play beside the group draws its level along by more than one at the edge of too hard.
    const pull = gameOf('landfall').levels.map((_, level) =>
      pupils.reduce((sum, child) => {
        const cost = fitCost(shareAt(child, level), ownBand)
        const beside =
          child.notKnown.length === 0 && gameOf('landfall').levels.some((_, other) => fits(child, other))
        return sum + (beside ? Math.min(cost, fitCost(0.5, ownBand)) : cost)
      }, 0),
    )
    expect(pull[found.level]).toBeCloseTo(Math.min(...pull), 9)
    pupils.forEach((child, i) => {
      const at = found.own?.[i] ?? found.level
      const suiting = gameOf('landfall').levels.flatMap((_, level) => (fits(child, level) ? [level] : []))
      if (child.notKnown.length > 0 || suiting.length === 0 || fits(child, found.level))
        expect(at).toBe(found.level)
      else {
        own++
        expect(suiting).toContain(at)
        const far = Math.abs(at - found.level)
        expect(Math.min(...suiting.map((level) => Math.abs(level - found.level)))).toBe(far)
      }
      if (child.notKnown.length > 0 && !fits(child, found.level)) unknown++
      // A child of another group is given its level by the same rule.
      expect(levelBeside('landfall', child, found.level, { mode: 'similar', ownLevels: true }, figures)).toBe(
        at,
      )
    })
    // One level for all is the teacher's word.
    expect(withOwn(pupils, found.level).own).toBeNull()
  }
  expect(own).toBeGreaterThan(100)
  expect(unknown).toBeGreaterThan(50)
})

test('beside others only what one child can play by itself: no contest, nothing for two or for the whole class', () => {
  const beside = games.filter(playedBeside)
  for (const { room, players, interaction } of beside) {
    expect([players.min, room.whole ?? false]).toEqual([1, false])
    expect(interaction).not.toBe('contest')
  }
  const ids = beside.map(({ id }) => id)
  expect(ids).toEqual(expect.arrayContaining(['landfall', 'neighbours', 'mark-and-make']))
  for (const id of ['perch', 'bigger-haul', 'fog-number', 'hidden-corner', 'quick-look', 'team-board'])
    expect(ids).not.toContain(id)
})
