import { z } from 'zod'
import { smallParts } from './cautions'
import { tellStep, tracking } from './families/track'
import { defineGame, levelOf, quietTable, type Variant } from './game'
import { spinner, turnUp } from './source'

const paramsSchema = z
  .object({
    length: z.number().int().min(4).max(60),
    sectors: z.number().int().min(2).max(12),
    /** Squares that blow the marker back to the start and cost the next go. */
    penalty: z.array(z.number().int().min(1).max(59)).max(20),
    finish: z.enum(['exact', 'pass']).default('exact'),
  })
  .refine(({ penalty, length }) => penalty.every((square) => square < length), {
    path: ['penalty'],
    error: 'A squall lies on or beyond the last square.',
  })

type Params = z.infer<typeof paramsSchema>

const engine = tracking<Params, number>({
  start: () => 0,
  throw: ({ sectors }, _at, chance, player, sink) => turnUp(spinner(sectors), chance, player, sink),
  options: ({ length, finish }, at, [squares]) =>
    finish === 'exact' && at + squares > length ? [] : [squares],
  land({ length, penalty }, at, squares, player, sink) {
    const to = Math.min(length, at + squares)
    tellStep(sink, player, at, to)
    sink?.({ kind: 'moved', player, from: at, to, squares: to - at })
    if (!penalty.includes(to)) return { to }
    sink?.({ kind: 'sent-back', player, space: to })
    return { to: 0, rest: true }
  },
  finished: ({ length }, at) => at === length,
})

const level = (id: string, title: string, length: number, sectors: number, penalty: number[]) =>
  levelOf<Params>(id, title, length, 'numerals', { length, sectors, penalty, finish: 'exact' })

function variants(params: Params): Variant<Params>[] {
  const found: Variant<Params>[] = []
  if (params.finish === 'exact')
    found.push({ change: 'let-passing-count', params: { ...params, finish: 'pass' } })
  if (params.penalty.length > 1) {
    const penalty = params.penalty.slice(0, -1)
    found.push({ change: 'fewer-hazards', amount: penalty.length, params: { ...params, penalty } })
  }
  return found
}

export const squall = defineGame({
  ...engine,
  id: 'squall',
  title: 'Squall',
  summary: 'Race along a track; a squall blows the marker back to the start.',
  section: 'tracks',
  params: paramsSchema,
  levels: [
    level('to-12', 'to 12, spinner 1 to 3', 12, 3, [5, 9]),
    level('to-20', 'to 20, spinner 1 to 5', 20, 5, [7, 13, 17]),
    level('to-30', 'to 30, spinner 1 to 6', 30, 6, [8, 15, 22, 27]),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'race',
  variants,
  materials: ({ length, sectors }) => [
    { item: `squall track to ${length}`, perSet: 1 },
    { item: 'marker', perPlayer: 1, loose: true },
    { item: `spinner 1 to ${sectors}`, perSet: 1 },
  ],
  texts: {
    rules: [
      'Spin and move on that many squares.',
      'Say the sum: “five add three is eight”.',
      'On a squall: back to the start, and miss a go.',
      'Too many to fit? Stay.',
      'Meet the last square exactly to win.',
    ],
    lookFors: [
      'Counts on from the square after the marker?',
      'Sees a squall coming: “I hope I don’t spin a two”?',
      'Says which spin would finish?',
    ],
    misconceptions: [
      { seen: 'Counts the square stood on.', ask: 'Which square comes after yours?' },
      {
        seen: 'Thinks a number is due because it has not come.',
        ask: 'Does the spinner remember what it did before?',
      },
    ],
    talk: 'Which spin do you want now, and which not? Why?',
    cautions: [smallParts],
    homeVersion: 'Draw a row of squares with two clouds, and spin a paper clip round a pencil.',
    finishEarly: 'Move one squall to where it makes the game fairer, and play again.',
  },
  room: { ...quietTable, together: false, win: true },
})
