import Papa from 'papaparse'
import { strandOf, type StrandId } from '../skills'
import { mostLines } from './class-list'

export interface NamedChild {
  id: string
  name: string
}

/** One line of a pasted column: whom it is about and which step it names, or why it can't be taken. */
export type ColumnLine =
  | { line: number; said: string; child: NamedChild; step: string }
  | { line: number; said: string; child: NamedChild | null; step: null; why: string }

const plain = (text: string) =>
  text
    .toLocaleLowerCase('en-GB')
    .replace(/[,;\s]+/g, ' ')
    .trim()
    .replace(/\.$/, '')

/** The step that a text names: by its short name, its sentence or its id; a part of a short name does if no other has it. */
function stepNamed(text: string, strand: StrandId): string | null {
  const said = plain(text)
  const { steps } = strandOf(strand)
  const exact = steps.find(({ id, short, sentence }) =>
    [id, short, sentence].some((name) => plain(name) === said || plain(name) === `to ${said}`),
  )
  if (exact) return exact.id
  const holding = steps.filter(({ short }) => plain(short).includes(said))
  return holding.length === 1 ? holding[0].id : null
}

/**
 * Reads a column copied from a spreadsheet: a step for each child in the order of the list, or the name and the step side
 * by side in any order. An empty line leaves its child as it is.
 */
export function readPlacingColumn(
  text: string,
  children: readonly NamedChild[],
  strand: StrandId,
): ColumnLine[] {
  const rows = Papa.parse<string[]>(text.replace(/\s+$/, ''), {
    delimitersToGuess: ['\t', ',', ';'],
  }).data.slice(0, mostLines)
  const byName = new Map(children.map((child) => [plain(child.name), child]))
  const withNames = rows.some((row) => row.length > 1 && byName.has(plain(row[0])))
  return rows.flatMap((row, index): ColumnLine[] => {
    const line = index + 1
    const said = (withNames ? row.slice(1).join(' ') : row.join(' ')).trim()
    const child = withNames ? byName.get(plain(row[0])) : children[index]
    if (said === '') return []
    if (!child) {
      const why = withNames
        ? `Nobody chosen is called “${row[0].trim()}”.`
        : 'There are fewer children than lines.'
      return [{ line, said, child: null, step: null, why }]
    }
    const step = stepNamed(said, strand)
    return step === null
      ? [{ line, said, child, step, why: `“${said}” is no step of ${strandOf(strand).title}.` }]
      : [{ line, said, child, step }]
  })
}
