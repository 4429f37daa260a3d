import { fitted, line, box, type Mark } from '../drawing/marks'
import { scaled } from '../drawing/scaled'
import { tableMarks } from '../drawing/table'
import type { AnyGame } from '../games'
import { pictureOf } from '../games/playing/showing'
import { textsOf } from '../games/texts'
import type { Piece } from './piece'

/** Half a sheet of A4. */
const [width, height] = [190, 134]

/** Letters that fit in a millimetre of width at a size of one; measured on the font to a few per cent. */
const lettersAcross = 0.5

/** Text in lines no longer than `across`, each a mark from the left. */
function paragraph(
  text: string,
  x: number,
  y: number,
  across: number,
  size: number,
): { marks: Mark[]; y: number } {
  const most = Math.floor(across / (size * lettersAcross))
  const lines: string[] = []
  for (const word of text.split(' ')) {
    const last = lines.at(-1)
    if (last !== undefined && last.length + 1 + word.length <= most)
      lines[lines.length - 1] = `${last} ${word}`
    else lines.push(word)
  }
  const marks = lines.map((words, i): Mark => ({
    op: 'text',
    starts: true,
    x,
    y: Number((y + i * size * 1.3).toFixed(2)),
    size,
    text: words,
    font: 'words',
    fill: 'ink',
  }))
  return { marks, y: y + lines.length * size * 1.3 }
}

/** What children read at the station: the picture, what to do in a few steps, when it is over. */
export function taskCard(game: AnyGame, level: string, params: unknown): Piece {
  const texts = textsOf(game.id, params)
  const { layout, scene } = pictureOf(game, params)
  const [left, top] = [-width / 2 + 8, -height / 2 + 8]
  const marks: Mark[] = [box(0, 0, width, height, 2, 'none', 'soft', 0.25)]
  const title = paragraph(game.title, left, top + 8, 120, 9)
  marks.push(...title.marks)
  marks.push(...paragraph(level, left, title.y + 1, 120, 4.6).marks)
  const scale = Math.min(74 / layout.width, 62 / layout.height)
  marks.push({
    op: 'group',
    id: 'picture',
    x: Number((width / 2 - 8 - layout.width * scale).toFixed(2)),
    y: top + 4,
    marks: tableMarks(layout, scene).map((mark) => scaled(mark, scale)),
  })
  let y = top + 30
  texts.steps.forEach(([, words], i) => {
    marks.push({
      op: 'group',
      id: `step ${i}`,
      x: left + 4,
      y: y - 2,
      marks: [fitted(String(i + 1), 0, 0, 8, 9)],
    })
    const step = paragraph(words, left + 12, y, 86, 6.6)
    marks.push(...step.marks)
    y = step.y + 4
  })
  const low = height / 2 - 26
  marks.push(line(`M${left} ${low}H${width / 2 - 8}`, 'soft', 0.3))
  const set = paragraph(texts.setUp, left, low + 6, width - 18, 4.2)
  const end = paragraph(texts.end, left, set.y + 1, width - 18, 4.2)
  marks.push(...set.marks, ...end.marks)
  return { width, height, marks }
}
