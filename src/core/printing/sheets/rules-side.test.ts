import { games } from '../../games'
import { textsOf } from '../../games/texts'
import { placedTexts } from '../testing/placed-texts'
import { widthOf } from '../text'
import { taskCard, taskCardForms, taskCardWithRules } from './task-card'

const levels = games.flatMap((game) => game.levels.map((level) => ({ game, level })))

/** Letters smaller than this aren't read at arm’s length: 8½ points. Common practice, no source. */
const readable = 3

test.each(taskCardForms)(
  'with every card, %s, comes a side with its set-up, start, rules and end',
  (form) => {
    const faults = levels.flatMap(({ game, level }) => {
      const pieces = taskCardWithRules(game, level.title, level.params, form)
      const said = pieces
        .flatMap(({ marks }) => placedTexts(marks))
        .map(({ text }) => text)
        .join(' ')
      const { setUp, start, rules, end } = textsOf(game.id, level.params)
      return [setUp, start, ...rules, end]
        .filter((line) => !said.includes(line.replace(/\s+/g, ' ')))
        .map((line) => `${game.id} ${level.id}: ${line}`)
    })
    expect(faults).toEqual([])
  },
)

test.each(taskCardForms)('nothing on it, %s, runs over the edge or is too small to read', (form) => {
  const faults = levels.flatMap(({ game, level }) => {
    const front = taskCard(game, level.title, level.params, form)
    const pieces = taskCardWithRules(game, level.title, level.params, form)
    // Folded, the rules are the right half of the one piece; else a piece of their own.
    const folded = pieces.length === 1
    const [left, right] = folded ? [0, front.width] : [-front.width / 2, front.width / 2]
    const texts = placedTexts(pieces.at(-1)!.marks).filter(({ x }) => !folded || x > 0)
    expect(texts.length).toBeGreaterThan(8)
    return texts.flatMap(({ x, y, text, size, heavy }) =>
      x >= left &&
      x + widthOf(text, { size, heavy }) <= right &&
      Math.abs(y) < front.height / 2 &&
      size >= readable
        ? []
        : [`${game.id} ${level.id}: “${text}” ${size} at ${x}, ${y}`],
    )
  })
  expect(faults).toEqual([])
})
