import { Flow } from '../flow'
import { at, framed, type Piece } from '../piece'

interface Label {
  title: string
  levels: readonly { title: string; minutes: number | null }[]
  paper: readonly { name: string; count: number }[]
  shelf: readonly { name: string; count: number }[]
}

const width = 95
/** As high as what it says, up to half a sheet. */
const [least, most] = [50, 130]

/** What is in a bag and what is put to it, to check it in half a minute before and after. */
export function bagLabel({ title, levels, paper, shelf }: Label): Piece {
  const flow = new Flow(width - 12)
  flow.head(title, 9)
  const levelWords = levels.map(({ title: level, minutes }) =>
    minutes === null ? level : `${level} (a game: about ${Math.max(1, Math.round(minutes))} min)`,
  )
  // A bag of many levels and things gets smaller letters.
  const lines = paper.length + shelf.length + levels.length
  const size = Math.max(2.3, 3.8 * Math.min(1, 14 / lines))
  flow.say(levelWords.join(' · '), { size, tone: 'soft' })
  flow.rule()
  flow.say('In the bag', { size: size * 1.1, heavy: true })
  for (const { name, count } of paper) flow.say(`${count} × ${name}`, { size })
  if (shelf.length > 0) {
    flow.gap(1.5)
    flow.say('From the shelf', { size: size * 1.1, heavy: true })
    for (const { name, count } of shelf) flow.say(`${count} × ${name}`, { size })
  }
  const height = Math.min(most, Math.max(least, Math.ceil(flow.y + 10)))
  return framed(width, height, [at(-width / 2 + 6, -height / 2 + 5, flow.marks, 'label')])
}
