import { measured } from '../analysis/testing/measured'
import { inBand } from '../grouping/problem/fit-cost'
import { ownBand } from '../evidence/fit'
import type { ProfileStep } from '../skills/marked-step'
import { gameOf } from '../games'
import { strandIds, strandOf, type StrandId } from '../skills'
import { whatFits } from './what-fits'

const elsewhere: readonly ProfileStep[] = [{ strand: 'time', step: 'hour', share: 1 }]
/** Of two games what they practise; all others practise the clock. */
const profile = (gameId: string, levelId: string) =>
  ['landfall', 'pebble-count'].includes(gameId) ? measured(gameId, levelId).steps : elsewhere
const figures = { profile, marked: profile }

/** A child right alone by one ability on every strand, in logits. */
const childAt = (ability: number) => ({
  rightAlone: Object.fromEntries(
    strandIds.map((strand) => [
      strand,
      strandOf(strand).steps.map(({ difficulty }) => 1 / (1 + Math.exp(difficulty - ability))),
    ]),
  ) as unknown as Record<StrandId, readonly number[]>,
  followed: strandIds,
  yearGroup: 'Year 1' as const,
})

const levels = gameOf('landfall').levels.map(({ id }) => id)
const now = (level: number) => ({ gameId: 'landfall', levelId: levels[level] })

test('for a child who is ready the harder level that fits; where none does, its own if that still fits', () => {
  let found = { 'other-level': 0, 'as-now': 0 }
  for (let ability = -2; ability <= 12; ability += 0.5)
    for (const level of levels.keys()) {
      const fits = whatFits(childAt(ability), now(level), 'add', 'harder', figures)
      if (fits.kind === 'other-level') {
        found = { ...found, 'other-level': found['other-level'] + 1 }
        expect(inBand(fits.success, ownBand)).toBe(true)
        const here = whatFits(
          childAt(ability),
          { ...now(level), levelId: fits.levelId },
          'add',
          'easier',
          figures,
        )
        expect(here).toMatchObject({ kind: 'as-now', levelId: fits.levelId, success: fits.success })
      }
      if (fits.kind === 'as-now') {
        found = { ...found, 'as-now': found['as-now'] + 1 }
        expect(fits.levelId).toBe(levels[level])
        expect(inBand(fits.success, ownBand)).toBe(true)
      }
    }
  expect(found['other-level']).toBeGreaterThan(5)
  expect(found['as-now']).toBeGreaterThan(0)
})

test('a child who finds its step hard is told of an easier level only where its own does not fit', () => {
  const kinds: string[] = []
  for (let ability = -2; ability <= 8; ability += 0.5)
    for (const level of levels.keys()) {
      const fits = whatFits(childAt(ability), now(level), 'add', 'easier', figures)
      kinds.push(fits.kind)
      if (fits.kind !== 'other-level') continue
      expect(inBand(fits.success, ownBand)).toBe(true)
      const back = whatFits(childAt(ability), now(levels.indexOf(fits.levelId)), 'add', 'easier', figures)
      expect(back).toMatchObject({ kind: 'as-now', success: fits.success })
    }
  expect(kinds).toEqual(expect.arrayContaining(['as-now', 'other-level']))
})

test('no level of the game fits: another game’s is named, or that there is none', () => {
  const named = whatFits(childAt(-1.5), now(levels.length - 1), 'how-many', 'easier', figures)
  expect(named.kind === 'other-game' || named.kind === 'none').toBe(true)
  expect(named).toMatchObject({ insteadOf: 'landfall' })
  if (named.kind === 'other-game') {
    expect(named.gameId).toBe('pebble-count')
    expect(inBand(named.success, ownBand)).toBe(true)
  }
  expect(whatFits(childAt(-9), now(0), 'add', 'easier', figures)).toEqual({
    kind: 'none',
    insteadOf: 'landfall',
  })
})
