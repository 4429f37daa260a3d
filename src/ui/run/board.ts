import { saysSomething, type MarkValue } from '@/core/evidence/mark'
import type { RunPage, RunVisit } from '@/server/session-board'
import { setsOf } from './sets'

/** A child's row on the board. */
export interface Row {
  visitId: string
  pupilId: string
}

export const keyOf = ({ visitId, pupilId }: Row) => `${visitId} ${pupilId}`

/** The rows of a slot as they stand on the board: station by station, in each from the top down. */
export const rowsOf = (stations: RunPage['stations'], visits: readonly RunVisit[]): Row[][] =>
  stations.map((station) =>
    visits
      .filter(({ stationId }) => stationId === station.id)
      .flatMap((visit) =>
        setsOf(visit)
          .flat()
          .map(({ id }) => ({ visitId: visit.id, pupilId: id })),
      ),
  )

/** Where an arrow leads from a row: up and down through everybody, to the sides to the next station that has anybody. */
export function nextRow(columns: readonly Row[][], at: string, key: string): Row | null {
  const filled = columns.filter((column) => column.length > 0)
  const all = filled.flat()
  const here = all.findIndex((row) => keyOf(row) === at)
  const column = filled.findIndex((rows) => rows.some((row) => keyOf(row) === at))
  if (here < 0) return null
  const depth = filled[column].findIndex((row) => keyOf(row) === at)
  const beside = (by: number) => {
    const rows = filled[(column + by + filled.length) % filled.length]
    return rows[Math.min(depth, rows.length - 1)]
  }
  switch (key) {
    case 'ArrowDown':
      return all[(here + 1) % all.length]
    case 'ArrowUp':
      return all[(here - 1 + all.length) % all.length]
    case 'ArrowRight':
      return beside(1)
    case 'ArrowLeft':
      return beside(-1)
    case 'Home':
      return all[0]
    case 'End':
      return all.at(-1)!
    default:
      return null
  }
}

/** Who is away in a slot: not those who went home after it. */
export const awayAt = (absent: RunPage['absent'], slot: number): ReadonlySet<string> =>
  new Set(absent.flatMap(({ pupilId, fromSlot }) => (slot >= fromSlot ? [pupilId] : [])))

/** Children nobody has seen today, in the order of the visits; who is away is not looked for. */
export function notSeen(
  visits: readonly RunVisit[],
  absent: ReadonlySet<string>,
  markOf: (visitId: string, pupilId: string) => MarkValue | undefined,
  othersOf: (visitId: string, pupilId: string) => readonly MarkValue[],
): string[] {
  const names = new Map<string, string>()
  const seen = new Set<string>()
  for (const { id, children } of visits)
    for (const child of children) {
      names.set(child.id, child.name)
      const mark = markOf(id, child.id)
      if ((mark && saysSomething(mark)) || othersOf(id, child.id).length > 0) seen.add(child.id)
    }
  return [...names].filter(([id]) => !seen.has(id) && !absent.has(id)).map(([, name]) => name)
}

/** “Ama, Bruno, … and 4 more” */
export const shortList = (names: readonly string[]): string =>
  names.length > 6 ? `${names.slice(0, 5).join(', ')} and ${names.length - 5} more` : names.join(', ')
