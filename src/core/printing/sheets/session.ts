import { box, disc, line, type Mark } from '../../drawing/marks'
import { pennantMark } from '../../drawing/pennant'
import { groupNames } from '../../grouping/pennants'
import type { PlanView } from '../../planning/session/work-out'
import { Flow } from '../flow'
import { at, framed, type Piece } from '../piece'
import { sizeFor, textFrom, textRound } from '../text'

/** What is seen of a step, and what each mark of it looks like. */
export interface SeenStep {
  sentence: string
  marks: { own: string; help: string; notYet: string }
}

export interface SheetVisit {
  time: string
  pennant: number
  level: string
  step: SeenStep
  /** Children in the order of their sets; each that does not play at the group's level with its own. */
  children: readonly { name: string; range: string | null }[]
}

const [width, height] = [190, 268]
const margin = 6
const onSheet = (flow: Flow): Piece =>
  framed(width, Math.max(height, flow.y + 2 * margin), [
    at(-width / 2 + margin, -Math.max(height, flow.y + 2 * margin) / 2 + margin, flow.marks, 'sheet'),
  ])

/** The three marks in the order in which they are typed in later. */
const ringed = ['alone', 'with help', 'not yet'] as const

/** What an adult at a station fills in where there is no screen: a mark to ring for each child, in the order of typing in. */
export function observationSheet(
  station: { number: number; title: string },
  day: string,
  visits: readonly SheetVisit[],
): Piece {
  const flow = new Flow(width - 2 * margin)
  flow.head(`${station.number} · ${station.title}`, 9)
  flow.say(`${day}. Ring one for each child you really saw; leave the others empty.`, {
    size: 3.6,
    tone: 'soft',
  })
  const columns = 27
  for (const { time, pennant, level, step, children } of visits) {
    flow.gap(3)
    flow.rule()
    flow.put([pennantMark(pennant, 6)], 0, 'pennant')
    flow.say(`${time} · ${groupNames[pennant]} · ${level}`, { size: 5, heavy: true }, 12)
    flow.say(step.sentence, { size: 4.2 })
    flow.say(`Alone: ${step.marks.own} With help: ${step.marks.help} Not yet: ${step.marks.notYet}`, {
      size: 3.2,
      tone: 'soft',
    })
    flow.gap(1)
    for (const { name, range } of children) {
      const words = range === null ? name : `${name} (${range})`
      const room = flow.width * 0.42
      const row: Mark[] = [
        textFrom(words, 0, 6, { size: sizeFor(words, room, 4.8) }),
        ...ringed.flatMap((mark, i) => [
          box(room + 4 + (i + 0.5) * columns, 4.4, columns - 3, 6.6, 3.3, 'none', 'soft', 0.35),
          textRound(mark, room + 4 + (i + 0.5) * columns, 5.7, { size: 3.6 }),
        ]),
        line(`M${room + 6 + 3 * columns} 7.4H${flow.width}`, 'soft', 0.3),
      ]
      flow.put(row, 8.6, `row ${name}`)
    }
  }
  flow.gap(4)
  flow.say('Holds names: keep it in the room, and destroy it once it is typed in.', { size: 3, tone: 'soft' })
  return onSheet(flow)
}

/** Who is where and when, to hang on the wall: groups down, times across. */
export function roomChart(title: string, { groups, stations, times, visits }: PlanView): Piece {
  const [wide, high] = [277, 180]
  const left = 62
  const columns = (wide - left) / times.slots.length
  const rows = (high - 40) / groups.length
  const marks: Mark[] = [
    textFrom(title, -wide / 2 + 6, -high / 2 + 13, { size: sizeFor(title, wide - 12, 9, true), heavy: true }),
  ]
  const top = -high / 2 + 32
  times.slots.forEach(({ from, to }, slot) => {
    const words = `${from} – ${to}`
    marks.push(
      textRound(words, -wide / 2 + left + (slot + 0.5) * columns, top - 5, {
        size: sizeFor(words, columns - 4, 6),
      }),
    )
  })
  groups.forEach(({ id, pennant }, row) => {
    const y = top + row * rows
    const name = groupNames[pennant]
    const height = Math.min(12, rows * 0.5)
    marks.push(
      line(`M${-wide / 2 + 4} ${y}H${wide / 2 - 4}`, 'soft', 0.3),
      at(-wide / 2 + 6, y + rows / 2 - height / 2, [pennantMark(pennant, height)], `pennant ${pennant}`),
      textFrom(name, -wide / 2 + 26, y + rows / 2 + 2.4, { size: sizeFor(name, left - 26, 7), heavy: true }),
    )
    for (const { slot, stationId, groupId } of visits) {
      if (groupId !== id) continue
      const number = stations.findIndex((station) => station.id === stationId)
      const { title: game } = stations[number]
      const x = -wide / 2 + left + slot * columns
      const r = Math.min(6, rows * 0.3)
      marks.push(
        disc(x + r + 2, y + rows / 2, r, 'none', 'ink', 0.5),
        textRound(String(number + 1), x + r + 2, y + rows / 2 + r * 0.42, { size: r * 1.25, heavy: true }),
        textFrom(game, x + 2 * r + 5, y + rows / 2 + 2.2, { size: sizeFor(game, columns - 2 * r - 8, 6.4) }),
      )
    }
  })
  return framed(wide, high, marks)
}

export interface CoverStation {
  number: number
  title: string
  /** An adult stays there. */
  adult: boolean
  say: string
  steps: readonly string[]
  lookFor: string
  stuck: string
  /** The groups that come, in their order, each with its level; none: it is the same for all. What is put out is the first one's. */
  levels: readonly { group: string; level: string }[]
}

/** For an adult who has never seen the room: when, who goes where, what to say, what to look for, whom to stay near. */
export function coverPage(
  title: string,
  view: PlanView,
  stations: readonly CoverStation[],
  near: readonly string[],
  cautions: readonly string[],
): Piece {
  const flow = new Flow(width - 2 * margin)
  flow.head(title, 8)
  flow.say(
    'Four things to do: say where each group goes, start the clock, walk round, and call the change. Nobody has to finish a game.',
    { size: 3.8 },
  )
  flow.rule()
  const { groups, times, visits } = view
  const shares = [0.24, ...times.slots.map(() => 0.76 / times.slots.length)]
  flow.row(['', ...times.slots.map(({ from, to }) => `${from} – ${to}`)], shares, { size: 3.6, heavy: true })
  for (const { id, pennant, children } of groups) {
    const where = times.slots.map((_, slot) => {
      const visit = visits.find((one) => one.groupId === id && one.slot === slot)
      if (!visit) return '–'
      const station = view.stations.findIndex((one) => one.id === visit.stationId)
      return `${station + 1} ${view.stations[station].title}`
    })
    flow.row([groupNames[pennant], ...where], shares, { size: 3.8 }, 1)
    flow.say(children.map(({ name }) => name).join(', '), { size: 3, tone: 'soft' }, 2)
  }
  flow.rule()
  for (const { number, title: game, adult, say, steps, lookFor, stuck, levels } of stations) {
    flow.say(`${number} · ${game}${adult ? ' · an adult stays here' : ''}`, { size: 4.4, heavy: true })
    if (levels.length > 0)
      flow.say(`Levels: ${levels.map(({ group, level }) => `${group} ${level}`).join(' · ')}`, { size: 3.3 })
    flow.say(
      `Put out${levels.length > 0 ? ` for ${levels[0].group}` : ''}: ${say} ${steps.map((step, i) => `${i + 1}. ${step}`).join(' ')}`,
      { size: 3.3 },
    )
    flow.say(`Look for: ${lookFor} Stuck? ${stuck}`, { size: 3.3 })
    flow.gap(1.5)
  }
  flow.rule()
  flow.say('Say', { size: 4, heavy: true })
  flow.points(
    [
      'At the start: “Point to your station. Walk there. Sit down. Hands in your lap until you hear me.”',
      'Two minutes before the change: “Finish your go, then pack up.”',
      'At the change: “Stand up. Point to your next station. Walk.”',
    ],
    3.4,
  )
  if (near.length > 0) flow.say(`Stay near: ${near.join(', ')}.`, { size: 3.8, heavy: true })
  flow.say([...cautions, 'The school’s own rules come first. Holds names: keep it in the room.'].join(' '), {
    size: 3,
    tone: 'soft',
  })
  return onSheet(flow)
}
