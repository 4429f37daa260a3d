import { aroundMinutes } from '@/core/analysis/around'
import { measureLevel, type LevelMeasure } from '@/core/analysis/level-measure'
import { mayOffer } from '@/core/evidence/begun'
import { markedStep } from '@/core/skills/marked-step'
import { yearGroups } from '@/core/evidence/prior'
import { games, type AnyGame } from '@/core/games'
import { textsOf } from '@/core/games/texts'
import { materialsOf } from '@/core/planning/materials'
import { stepOf, strandOf } from '@/core/skills'
import { teachingMoves } from '@/core/teaching/moves'

const measures = new Map<string, LevelMeasure>()

/** A level is measured once, however often it is written of. */
function measured(game: AnyGame, level: AnyGame['levels'][number]): LevelMeasure {
  const key = `${game.id} ${level.id}`
  const known = measures.get(key) ?? measureLevel(game, level.params)
  measures.set(key, known)
  return known
}

const row = (cells: readonly (string | number)[]) => `| ${cells.join(' | ')} |`
const written = 'Written by `npm run document`.'

/** Every level in a line: where it is marked, what it is for, how long it takes, what it needs. */
export function levelsPage(): string {
  const lines = games.flatMap((game) => [
    `\n## ${game.title}\n`,
    row(['level', 'marked at', 'to', 'minutes', 'of them play', 'one set needs']),
    row(['---', '---', '---', '---', '---', '---']),
    ...game.levels.map((level) => {
      const { id, title, to, params } = level
      const measure = measured(game, level)
      const { strand, step } = markedStep(measure.marked)
      const { minutes, players } = measure
      return row([
        title,
        `${strandOf(strand).title}: ${stepOf({ strand, step }).short}`,
        to,
        minutes
          ? `${(minutes.p50 + aroundMinutes(game, params, players)).toFixed(1)} (set of ${players})`
          : 'as long as there is time',
        minutes ? minutes.p50.toFixed(1) : '',
        materialsOf([{ slot: 0, station: 0, materials: game.materials(params), sets: [players] }], 1)
          .all.map(({ count, item }) => `${count} × ${item}`)
          .join(', ') || id,
      ])
    }),
  ])
  return `# Levels\n\n${written} For reading: is each marked where a teacher would mark it? Minutes of half of the games, with laying out and packing up.\n${lines.join('\n')}\n\n${byYear()}`
}

/** Which levels are offered to a year group of which nothing is known. */
function byYear(): string {
  const offered = (game: AnyGame, year: (typeof yearGroups)[number]) =>
    game.levels
      .filter((level) => mayOffer(measured(game, level), { followed: [], yearGroup: year }))
      .map(({ title }) => title)
  return [
    '## What is offered by year group\n',
    'To children of whom nothing was seen yet.\n',
    row(['game', ...yearGroups]),
    row(['---', ...yearGroups.map(() => '---')]),
    ...games.map((game) =>
      row([
        game.title,
        ...yearGroups.map((year) => {
          const titles = offered(game, year)
          if (titles.length === game.levels.length) return 'all'
          return titles.length === 0 ? '–' : titles.join('; ')
        }),
      ]),
    ),
    '',
  ].join('\n')
}

/** Every level's card as text; what is the same as at the level before is left out. */
export function gamesPage(): string {
  return `# The games as an adult reads them\n\n${written}\n${games.map(gameText).join('\n')}\n`
}

function gameText(game: AnyGame): string {
  let before: Record<string, string> = {}
  const levels = game.levels.map(({ title, params }) => {
    const now = parts(game, params)
    const lines = Object.entries(now).filter(([key, text]) => before[key] !== text)
    before = now
    return `### ${title}\n\n${lines.map(([key, text]) => `**${key}** ${text}`).join('\n\n')}\n`
  })
  return `\n## ${game.title}\n\n${game.summary}\n\n${levels.join('\n')}`
}

function parts(game: AnyGame, params: unknown): Record<string, string> {
  const texts = textsOf(game.id, params)
  const list = (lines: readonly string[]) => lines.join(' ')
  return {
    'Set up': texts.setUp,
    Start: texts.start,
    End: texts.end,
    'Child’s steps': list(texts.steps.map(([gesture, words], i) => `${i + 1}. ${words} (${gesture})`)),
    Rules: list(texts.rules),
    'I can': texts.iCan,
    Words: texts.words.join(', '),
    'Look for': list(texts.lookFors),
    'If you see': list(
      texts.misconceptions.map(
        ({ seen, ask, move }) =>
          `${seen} “${ask}” → ${teachingMoves[move].title}${teachingMoves[move].title.endsWith('?') ? '' : '.'}`,
      ),
    ),
    Easier: texts.easier,
    Harder: texts.harder,
    'Stuck?': texts.stuck,
    'Done early?': texts.finishEarly,
    'Talk about': texts.talk,
    'At home': texts.home,
    Cautions: list(texts.cautions) || 'None.',
  }
}
