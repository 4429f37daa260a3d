import { noHabits } from './habits'
import { gameOf } from '../../games'
import { strandIds, strandOf, type StrandId } from '../../skills'
import { noMinutesAround } from '../timetable'
import type { Figures, PlanContext, PlannedChild } from './context'
import { workOut, type Conflict } from './work-out'

const levels = gameOf('landfall').levels.map(({ id }) => id)
const { steps } = strandOf('add')

const harderEachTime: Figures['profile'] = (_, level) => [
  {
    strand: 'add',
    step: steps[Math.floor((levels.indexOf(level) * steps.length) / levels.length)].id,
    share: 1,
  },
]

/** Landfall as if each level practised one step of addition, a harder one each time; all at stations of their own. */
const figures = (change: Partial<Figures> = {}): Figures => ({
  profile: harderEachTime,
  marked: harderEachTime,
  finish: () => 0.95,
  usualMinutes: () => 8,
  around: () => 0,
  ...change,
})

/** A child that is right alone by one ability on every strand, in logits. */
function child(id: string, ability: number, notKnown: StrandId[] = []): PlannedChild {
  const rightAlone = Object.fromEntries(
    strandIds.map((strand) => [
      strand,
      strandOf(strand).steps.map(({ difficulty }) => 1 / (1 + Math.exp(difficulty - ability))),
    ]),
  ) as Record<StrandId, number[]>
  return { id, name: id, rightAlone, followed: strandIds, yearGroup: 'Year 1', notKnown, adultNear: false }
}

/** One group at Landfall, at a level of choice, in a slot of twelve minutes. */
function visitOf(pupils: PlannedChild[], levelId: string | null, by = figures()) {
  const context: PlanContext = {
    grouping: {
      id: 'grouping',
      mode: 'similar',
      ownLevels: true,
      groups: [{ id: 'g', pennant: 0, pupils, pairs: pupils.map(() => null) }],
    },
    seatedBefore: [],
    kept: null,
    habits: noHabits,
    room: null,
  }
  const { visits, conflicts } = workOut(
    {
      day: '2026-11-26',
      startsAt: '10:15',
      slots: 1,
      slotMinutes: 12,
      around: noMinutesAround,
      adults: 1,
      stations: [{ id: 's', gameId: 'landfall', mode: 'own', places: null }],
      cells: [{ slot: 0, groupId: 'g', stationId: 's', pinned: false, levelId }],
    },
    context,
    by,
  )
  return { visit: visits[0], conflicts }
}

const kinds = (conflicts: readonly Conflict[]) => conflicts.map(({ kind }) => kind)
const hardest = levels.at(-1)!
const easiest = levels[0]

describe('a level that is wrong for the whole group is a clash', () => {
  const beginners = ['a', 'b', 'c', 'd'].map((id) => child(id, -1))

  test('too hard for most: said with how many', () => {
    const { conflicts } = visitOf(beginners, hardest)
    expect(conflicts).toContainEqual({ kind: 'too-hard', slot: 0, groupId: 'g', children: 4, known: 4 })
  })

  test('too easy for all: nobody is in their zone', () => {
    const able = ['a', 'b', 'c', 'd'].map((id) => child(id, 12))
    const { conflicts, visit } = visitOf(able, easiest)
    expect(visit.zone).toEqual({ fitting: 0, known: 4, notKnown: 0 })
    expect(conflicts).toContainEqual({ kind: 'nobody-in-zone', slot: 0, groupId: 'g', known: 4 })
  })

  test('a level that fits is none', () => {
    for (const level of [1, 3, 5]) {
      const step = steps[Math.floor((level * steps.length) / levels.length)]
      // Right alone about four times in five there.
      const able = ['a', 'b'].map((id) => child(id, step.difficulty + 1.4))
      const { conflicts, visit } = visitOf(able, null)
      expect(visit.zone).toEqual({ fitting: 2, known: 2, notKnown: 0 })
      expect(kinds(conflicts)).toEqual([])
    }
  })

  test('of a group that is hardly known nothing is said', () => {
    const unknown = ['a', 'b', 'c', 'd'].map((id) => child(id, -1, id === 'a' ? [] : ['add']))
    const { conflicts, visit } = visitOf(unknown, hardest)
    expect(visit.zone).toEqual({ fitting: 0, known: 1, notKnown: 3 })
    expect(kinds(conflicts)).toEqual([])
  })
})

describe('a game that is over long before the slot', () => {
  const pupils = ['a', 'b'].map((id) => child(id, 4))

  test('says how many fit into it', () => {
    const { visit } = visitOf(pupils, null, figures({ usualMinutes: () => 3 }))
    expect(visit.short).toEqual({ usualMinutes: 3, games: 4, longer: null })
  })

  test('names a level that fits as well and takes longer, if it ends in the slot', () => {
    const here = visitOf(pupils, null).visit.levelId
    const harder = levels[levels.indexOf(here) + 1]
    const minutes = (_: string, level: string) => (level === harder ? 9 : 2)
    // Both levels practise the same step: as many are in their zone at either.
    const same = figures({
      usualMinutes: minutes,
      profile: () => [{ strand: 'add', step: steps[2].id, share: 1 }],
    })
    const able = ['a', 'b'].map((id) => child(id, steps[2].difficulty + 1.4))
    const at = visitOf(able, here, same).visit
    expect(at.short?.longer?.levelId).toBe(harder)
    const endless = { ...same, finish: () => 0.3 }
    expect(visitOf(able, here, endless).visit.short?.longer).toBeNull()
  })

  test('at a third of the slot or more nothing is said, nor of a game that the time ends', () => {
    expect(visitOf(pupils, null, figures({ usualMinutes: () => 4 })).visit.short).toBeNull()
    expect(visitOf(pupils, null, figures({ usualMinutes: () => null })).visit.short).toBeNull()
  })
})
