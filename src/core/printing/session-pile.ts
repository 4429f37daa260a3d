import { splitIntoSets } from '../games/engine/sets'
import { gameOf } from '../games'
import { bagOf, type LevelPlayed } from './bag'
import type { Pile } from './item'
import { sessionPapers, type SessionPapers } from './session-papers'

/** Levels that are played at a station, each with its largest set and the most sets in any slot. */
function levelsAt({ visits }: SessionPapers['view'], stationId: string, gameId: string): LevelPlayed[] {
  const { players } = gameOf(gameId)
  const found = new Map<string, LevelPlayed & { bySlot: Map<number, number> }>()
  for (const visit of visits.filter((one) => one.stationId === stationId)) {
    const parts =
      visit.ranges.length > 0
        ? visit.ranges.map(({ levelId, children }) => ({ levelId, sets: splitIntoSets(children, players) }))
        : [{ levelId: visit.levelId, sets: visit.sets }]
    for (const { levelId, sets } of parts) {
      const known = found.get(levelId) ?? { levelId, players: 0, sets: 0, bySlot: new Map<number, number>() }
      const inSlot = (known.bySlot.get(visit.slot) ?? 0) + sets.length
      known.bySlot.set(visit.slot, inSlot)
      known.players = Math.max(known.players, ...sets)
      known.sets = Math.max(known.sets, inSlot)
      found.set(levelId, known)
    }
  }
  return [...found.values()].map(({ bySlot: _, ...level }) => level)
}

/** A bag for each game that is played, in the order of the stations, and papers for the room. */
export function sessionPile(
  papers: SessionPapers,
  minutes: (gameId: string) => ReadonlyMap<string, number>,
): Pile {
  const { view, title } = papers
  const bags = view.stations.flatMap(({ id, gameId, needs }) => {
    const levels = levelsAt(view, id, gameId)
    return levels.length === 0 ? [] : [bagOf(gameId, needs, levels, minutes(gameId))]
  })
  // A game at two stations has two bags of its own.
  const seen = new Map<string, number>()
  const bundles = bags.map((bag) => {
    const before = seen.get(bag.id) ?? 0
    seen.set(bag.id, before + 1)
    if (before === 0) return bag
    const suffix = ` (bag ${before + 1})`
    return {
      ...bag,
      id: bag.id + suffix,
      title: bag.title + suffix,
      items: bag.items.map((item) => ({ ...item, id: item.id + suffix, name: item.name + suffix })),
    }
  })
  return { title, bundles: [...bundles, sessionPapers(papers)] }
}
