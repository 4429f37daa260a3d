import type { IslandsDocument, Row } from './document'

type Json = Row[string]

/** JSON in which an id is nowhere: neither in a list nor as a key. A list that held nothing else goes, too. */
export function withoutId(value: Json, id: string): Json {
  if (Array.isArray(value))
    return value
      .filter((entry) => entry !== id)
      .map((entry): [Json, Json] => [entry, withoutId(entry, id)])
      .filter(([before, after]) => !(isFull(before) && Array.isArray(after) && after.length === 0))
      .map(([, after]) => after)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .filter(([key, entry]) => key !== id && entry !== id)
      .map(([key, entry]) => [key, withoutId(entry, id)]),
  )
}

const isFull = (value: Json) => Array.isArray(value) && value.length > 0

/** The document without a child: neither its rows nor its id in any other; null: the child is not in it. */
export function withoutChild(document: IslandsDocument, pupilId: string): IslandsDocument | null {
  if (!JSON.stringify(document.tables).includes(pupilId)) return null
  // A draft that names the child is let go as a whole, as in the database.
  const isAbout = (row: Row) =>
    Object.values(row).includes(pupilId) ||
    (row.history !== undefined && JSON.stringify(row.history).includes(pupilId))
  const tables = Object.entries(document.tables).map(([table, rows]): [string, Row[]] => [
    table,
    rows.filter((row) => !isAbout(row)).map((row) => withoutId(row, pupilId) as Row),
  ])
  return { ...document, tables: Object.fromEntries(tables) }
}
