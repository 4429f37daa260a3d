import { box, type Mark } from '../../drawing/marks'
import type { LevelTexts } from '../../games/engine/texts'
import { Flow } from '../flow'
import { at, type Piece } from '../piece'

/** Sides of a card: its width and height, and its letters to those of a whole sheet. */
export interface SideSize {
  width: number
  height: number
  letters: number
}

/** Letters of the rules, to those of the card: tried from the largest, until all stands on the side. */
const tried = [6.4, 6, 5.6, 5.2, 4.8, 4.4, 4.1] as const

/** What an adult, or a child who reads, needs to play a level without having seen it: from the set-up to who has won. */
export function rulesSide(title: string, level: string, texts: LevelTexts, size: SideSize): Piece {
  const { width, height, letters } = size
  const margin = 9 * letters
  const flows = tried.map((points) => rulesIn(title, level, texts, width - 2 * margin, points * letters))
  const flow = flows.find(({ y }) => y <= height - 2 * margin) ?? flows[flows.length - 1]
  const marks: Mark[] = [
    box(0, 0, width, height, 0, 'none', 'soft', 0.25),
    at(-width / 2 + margin, -height / 2 + margin, flow.marks, 'rules'),
  ]
  return { width, height, marks }
}

function rulesIn(title: string, level: string, texts: LevelTexts, across: number, size: number): Flow {
  const flow = new Flow(across)
  flow.head(level === '' ? title : `${title} · ${level}`, size * 1.7)
  flow.rule()
  const part = (name: string, text: string) => {
    flow.gap(size * 0.45)
    flow.say(name, { size, heavy: true })
    flow.say(text, { size })
  }
  part('Set up', texts.setUp)
  part('Start', texts.start)
  flow.gap(size * 0.45)
  flow.say('Rules', { size, heavy: true })
  flow.points(texts.rules, size)
  part('The end', texts.end)
  part('Stuck?', texts.stuck)
  return flow
}
