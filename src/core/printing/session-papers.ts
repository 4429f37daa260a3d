import { gameOf, usualLevel } from '../games'
import { textsAt } from '../games/texts'
import { groupNames } from '../grouping/pennants'
import type { PlannedVisit } from '../planning/session/visits'
import type { PlanView } from '../planning/session/work-out'
import type { Bundle, PrintItem } from './item'
import { copiesOf, type Piece } from './piece'
import { metreStrips } from './pieces/lines'
import { coverPage, observationSheet, roomChart, type SeenStep, type SheetVisit } from './sheets/session'
import { canSlip, groupSign, namePeg, rulesPoster, stationSign, thanksSlip } from './sheets/signs'

export interface SessionPapers {
  /** Of the class and its day, as it stands on the pages. */
  title: string
  day: string
  view: PlanView
  /** What a mark at a level is about. */
  stepAt: (gameId: string, levelId: string) => SeenStep
  /** Children whom an adult stays near. */
  near: readonly string[]
}

const titleOf = (gameId: string, levelId: string): string =>
  gameOf(gameId).levels.find(({ id }) => id === levelId)?.title ?? levelId

/** The level a group plays at, in words. */
const groupLevel = ({ eachItsOwn, levelTitle }: PlannedVisit): string =>
  eachItsOwn ? 'own ranges' : levelTitle

/** Papers of a session for the room and its adults: none of them is needed to play. */
export function sessionPapers(papers: SessionPapers): Bundle {
  const { title, day, view, stepAt, near } = papers
  const { groups, stations, visits, times } = view
  const item = (
    name: string,
    count: number,
    pieces: () => Piece[],
    options: { across?: boolean } = {},
  ): PrintItem => ({
    id: `room/${name}`,
    name,
    role: 'more',
    count,
    thing: null,
    part: (copies) => ({
      title: name,
      pieces: copiesOf(pieces(), copies),
      ...options,
    }),
  })
  const comingTo = (stationId: string) =>
    visits.filter((visit) => visit.stationId === stationId).sort((a, b) => a.slot - b.slot)
  const firstLevel = (stationId: string, gameId: string) =>
    comingTo(stationId)[0]?.levelId ?? usualLevel(gameOf(gameId)).id
  /** The groups that come to a station with their levels, in the order in which they come. */
  const levelsAt = (stationId: string, gameId: string) =>
    comingTo(stationId).map((visit) => {
      const own = visit.eachItsOwn
        ? []
        : Object.entries(visit.ownLevels).flatMap(([child, levelId]) => {
            const name = nameOf.get(child)
            return name === undefined ? [] : [`${name} ${titleOf(gameId, levelId)}`]
          })
      return {
        group: groupNames[pennantOf.get(visit.groupId)!],
        level: groupLevel(visit) + (own.length > 0 ? ` (${own.join(', ')})` : ''),
      }
    })
  const oneLevelAt = (stationId: string) =>
    new Set(comingTo(stationId).flatMap(({ levelId, ownLevels }) => [levelId, ...Object.values(ownLevels)]))
      .size <= 1
  const nameOf = new Map(groups.flatMap(({ children }) => children.map(({ id, name }) => [id, name])))
  const pennantOf = new Map(groups.map(({ id, pennant }) => [id, pennant]))

  const sheets = (): Piece[] =>
    stations.map(({ id, title: game, gameId }, position) =>
      observationSheet(
        { number: position + 1, title: game },
        day,
        visits
          .filter(({ stationId }) => stationId === id)
          .map((visit): SheetVisit => {
            const { from, to } = times.slots[visit.slot]
            return {
              time: `${from} – ${to}`,
              pennant: pennantOf.get(visit.groupId)!,
              level: groupLevel(visit),
              step: stepAt(gameId, visit.levelId),
              children: visit.seats.flat().flatMap((child) => {
                const name = nameOf.get(child)
                const own = visit.ownLevels[child]
                return name === undefined ? [] : [{ name, range: own ? titleOf(gameId, own) : null }]
              }),
            }
          }),
      ),
    )
  const cover = () => [
    coverPage(
      title,
      view,
      stations.map(({ id, title: game, gameId, mode }, position) => {
        const texts = textsAt(gameId, firstLevel(id, gameId))
        return {
          number: position + 1,
          title: game,
          adult: mode === 'adult-led',
          say: texts.setUp,
          steps: texts.steps.map(([, words]) => words),
          lookFor: texts.lookFors[0],
          stuck: texts.stuck,
          levels: oneLevelAt(id) ? [] : levelsAt(id, gameId),
        }
      }),
      near,
      [...new Set(stations.flatMap(({ cautions }) => cautions))],
    ),
  ]
  const signs = () =>
    stations.map(({ id, gameId }, position) => {
      const game = gameOf(gameId)
      const level = game.levels.find((one) => one.id === firstLevel(id, gameId))!
      // All who come read it: where not all play at one level it names none.
      return stationSign(position + 1, game, oneLevelAt(id) ? level.title : null, level.params)
    })
  const slips = () =>
    groups.flatMap(({ id, children }) => {
      const first = visits.find(({ groupId }) => groupId === id)
      return children.flatMap((child) => {
        if (!first) return []
        const { gameId } = stations.find((station) => station.id === first.stationId)!
        return [canSlip(child.name, textsAt(gameId, first.ownLevels[child.id] ?? first.levelId).iCan)]
      })
    })
  return {
    id: 'room',
    title: 'For the room',
    gameId: null,
    shelf: [],
    items: [
      item('cover page for another adult', 1, cover),
      item('observation sheets, one a station', 1, sheets),
      item('room chart', 1, () => [roomChart(title, view)], { across: true }),
      item('station signs', 1, signs),
      item('group signs', 1, () =>
        groups.map(({ pennant, children }) =>
          groupSign(
            pennant,
            children.map(({ name }) => name),
          ),
        ),
      ),
      item('name pegs', 1, () =>
        groups.flatMap(({ pennant, children }) => children.map(({ name }) => namePeg(name, pennant))),
      ),
      item('“I can” slips', 1, slips),
      item('thank-you slips', 1, () =>
        groups.flatMap(({ pennant, children }) => children.map(({ name }) => thanksSlip(name, pennant))),
      ),
      item('poster for the rules of the room', 1, () => [rulesPoster()]),
      item('metre strip to tape together', 1, metreStrips),
    ],
  }
}
