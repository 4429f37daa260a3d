import type { PlanView } from '@/core/planning/session/work-out'

const ordinal = ['You', 'Second adult', 'Third adult']

/** Where each adult is, and when one walks on: “You at Landfall. Second adult at Perch, from slot 3 at Low Tide.” */
export function adultsInWords({ adults, stations }: Pick<PlanView, 'adults' | 'stations'>): string {
  const nameOf = (stationId: string) => {
    const position = stations.findIndex(({ id }) => id === stationId)
    const { title } = stations[position]
    // Two stations with one game are told apart by their numbers.
    const twins = stations.filter((other) => other.title === title).length > 1
    return twins ? `${title} (station ${position + 1})` : title
  }
  const there = [...new Set(adults.map(({ adult }) => adult))].sort((a, b) => a - b)
  return there
    .map((adult) => {
      const own = adults.filter((place) => place.adult === adult).sort((a, b) => a.slot - b.slot)
      const legs = own.filter(({ station }, i) => i === 0 || station !== own[i - 1].station)
      const where = legs.map(({ slot, station }) =>
        slot === 0 ? `at ${nameOf(station)}` : `from slot ${slot + 1} at ${nameOf(station)}`,
      )
      return `${ordinal[adult] ?? `Adult ${adult + 1}`} ${where.join(', ')}.`
    })
    .join(' ')
}
