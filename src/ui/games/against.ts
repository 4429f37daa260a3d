import type { Against, GameRow, GamesFilter, Instead } from '@/server/games/list'
import { inHundred, many } from '../words'

/** Why a game does not fit, for its row in the list. */
export function againstInWords(
  { against, players, to, minutes }: Pick<GameRow, 'against' | 'players' | 'to' | 'minutes'>,
  { needs, slotMinutes }: Pick<GamesFilter, 'needs' | 'slotMinutes'>,
): string {
  const words: Record<Against, string> = {
    strand: 'practises something else',
    range: `numbers to ${to}`,
    'not-begun': 'nothing the class has begun',
    players:
      players.min === players.max
        ? `for ${many(players.min, 'child', 'children')}`
        : `for ${players.min} to ${players.max} children`,
    adult: 'needs an adult',
    noise: 'louder',
    needs: needs === 'no-dice' ? 'needs dice' : 'has to be printed',
    year: 'against time, from Year 2 on',
    slot: `ends in ${slotMinutes} minutes ${inHundred(minutes?.finishInSlot ?? 0)} times in 100`,
    group: 'suits fewer than half of the group',
  }
  const [first, ...more] = against.map((one) => words[one])
  return [first[0].toUpperCase() + first.slice(1), ...more].join(', ')
}

/** What is asked for once a wish is given up. */
const otherwise: Record<Instead['wish'], string> = {
  strand: 'practising anything',
  to: 'with larger numbers',
  players: 'for another number of children',
  adult: 'with an adult',
  noise: 'where it may be louder',
  needs: 'with any materials',
  slotMinutes: 'in a longer slot',
  group: 'for any children',
}

/** Where nothing fits: which wish, given up, would bring how many games. */
export function whyNone(instead: readonly Instead[]): string {
  if (instead.length === 0) return 'Nothing fits all of this. Giving up one wish would not be enough.'
  const [first, ...more] = instead.map(
    ({ wish, games }, i) => `${otherwise[wish]} ${games}${i === 0 ? ' would' : ''}`,
  )
  return `Nothing fits all of this. ${[first[0].toUpperCase() + first.slice(1), ...more].join(', ')}.`
}
