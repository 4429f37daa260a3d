import Papa from 'papaparse'
import { yearGroups, type YearGroup } from '../evidence/prior'

/** More lines than this are no class list. */
export const mostLines = 60
const mostCharacters = 20_000
export const longestName = 40

/** What a column of the list holds. */
export type Column = 'name' | 'initial' | 'year' | 'ignore'
export const columns: readonly Column[] = ['name', 'initial', 'year', 'ignore']

export interface ListedChild {
  line: number
  name: string
  initial: string
  /** Null: as the class. */
  year: YearGroup | null
}

/** A reason why a line can't be taken, with the line's number as in the pasted text. */
export type LineProblem =
  | { line: number; kind: 'no-name' }
  | { line: number; kind: 'twice'; name: string; first: number }
  | { line: number; kind: 'in-class'; name: string }
  | { line: number; kind: 'formula'; value: string }
  | { line: number; kind: 'too-long'; value: string }
  | { line: number; kind: 'unknown-year'; value: string }
  | { line: number; kind: 'unreadable'; value: string }

/** A reason why the list as a whole can't be taken. */
export type ListProblem =
  | { kind: 'empty' }
  | { kind: 'not-utf8' }
  | { kind: 'too-many-lines'; lines: number; most: number }
  | { kind: 'no-name-column' }

export interface RawTable {
  rows: { line: number; cells: string[] }[]
  hasHeader: boolean
  columns: Column[]
}

/** Text of an uploaded file: UTF-8, or UTF-16 where a byte-order mark says so. Null: some other encoding. */
export function decodeText(bytes: Uint8Array): string | null {
  const encoding =
    bytes[0] === 0xff && bytes[1] === 0xfe
      ? 'utf-16le'
      : bytes[0] === 0xfe && bytes[1] === 0xff
        ? 'utf-16be'
        : 'utf-8'
  try {
    const text = new TextDecoder(encoding, { fatal: true }).decode(bytes)
    return text.includes('\u0000') ? null : text
  } catch {
    return null
  }
}

/** Letters with what may stand between them. */
export const isName = (text: string): boolean => /^\p{L}[\p{L}\p{M}'’ .-]*$/u.test(text)

/** Splits a pasted or uploaded list into cells and guesses what each column holds. */
export function readTable(text: string): RawTable | ListProblem {
  if (text.trim() === '') return { kind: 'empty' }
  if (text.includes('\uFFFD') || text.includes('\u0000')) return { kind: 'not-utf8' }
  const lines = text.split(/\r\n|\r|\n/).filter((line) => line.trim() !== '').length
  if (lines > mostLines + 1 || text.length > mostCharacters)
    return { kind: 'too-many-lines', lines, most: mostLines }
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimiter: delimiterOf(text),
  })
  const width = Math.max(...data.map((cells) => cells.length))
  const rows = data
    .map((cells, index) => ({
      line: index + 1,
      cells: Array.from({ length: width }, (_, i) => (cells[i] ?? '').trim()),
    }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''))
  const named = rows[0].cells.map(columnByHeading)
  const hasHeader = named.includes('name')
  return {
    rows,
    hasHeader,
    columns: hasHeader
      ? oneName(rows[0].cells, named)
      : guessColumns(
          rows.map(({ cells }) => cells),
          isSurnameFirst(text),
        ),
  }
}

/** What stands between the cells of most lines; of a list in one column a tab, which no name holds. */
function delimiterOf(text: string): string {
  const lines = text.split(/\r\n|\r|\n/).filter((line) => line.trim() !== '')
  // What stands in quotes is part of a cell.
  const bare = lines.map((line) => line.replace(/"[^"]*"/g, ''))
  const between = (sign: string) => bare.filter((line) => line.includes(sign)).length * 2 > lines.length
  return ['\t', ';', ','].find(between) ?? (bare.some((line) => line.includes(',')) ? ',' : '\t')
}

/** True if most lines read like “Smith, Ella”: a register's way of writing surname and first name. */
function isSurnameFirst(text: string): boolean {
  const lines = text.split(/\r\n|\r|\n/).filter((line) => line.trim() !== '')
  const alike = lines.filter((line) => /^\s*[^,;\t]*\p{L}[^,;\t]*, +\p{L}[^,;\t]*$/u.test(line))
  return alike.length * 2 > lines.length
}

function columnByHeading(heading: string): Column | null {
  const word = heading.toLowerCase().replace(/[^a-z]/g, '')
  if (/(surname|lastname|familyname)$|^initials?$/.test(word)) return 'initial'
  // Whose name it is: of a parent, a teacher or a school there are names too.
  if (
    /^(full|first|fore|given|legal|preferred|known|chosen|pupil|student|child|learner|s)*names?$/.test(word)
  )
    return 'name'
  if (/^(pupil|student|child|learner|children)s?$|^knownas$/.test(word)) return 'name'
  if (/^(nc|nationalcurriculum|school)?(year|yr)(group)?$|^grade$/.test(word)) return 'year'
  return null
}

/** Of several columns with names the one that a class uses: what a child is called by, before what is on the register. */
function oneName(headings: readonly string[], found: readonly (Column | null)[]): Column[] {
  const names = found.flatMap((column, i) => (column === 'name' ? [i] : []))
  const used = names.find((i) => /prefer|known/i.test(headings[i])) ?? names[0]
  return found.map((column, i) => (column === 'name' && i !== used ? 'ignore' : (column ?? 'ignore')))
}

function guessColumns(rows: string[][], surnameFirst: boolean): Column[] {
  const found = rows[0].map((_, i): Column => {
    const cells = rows.map((cells) => cells[i]).filter((cell) => cell !== '')
    if (cells.length > 0 && cells.every((cell) => yearOf(cell) !== null)) return 'year'
    return cells.some((cell) => /\p{L}/u.test(cell)) ? 'name' : 'ignore'
  })
  if (surnameFirst && found.length === 2 && found.every((column) => column === 'name'))
    return ['initial', 'name']
  const first = found.indexOf('name')
  return found.map((column, i) => (column === 'name' && i !== first ? 'ignore' : column))
}

/** “Year 1”, “Y1”, “1”, “Reception”, “R” and the like; null if it is none of the years. */
function yearOf(text: string): YearGroup | null {
  const word = text.toLowerCase().replace(/[^a-z0-9]/g, '')
  if (['reception', 'r', 'rec', 'kindergarten', 'k', 'yearr', 'yr'].includes(word)) return 'Reception'
  const number = /^(?:year|yr|y|grade|g)?([1-4])$/.exec(word)
  return number ? yearGroups[Number(number[1])] : null
}

export interface ReadList {
  children: ListedChild[]
  problems: LineProblem[]
}

/**
 * The children of a table under a mapping of its columns, with every line that can't be taken and why.
 * Nothing should be written while there are problems.
 */
export function readChildren(table: RawTable, present: readonly string[] = []): ReadList | ListProblem {
  if (!table.columns.includes('name')) return { kind: 'no-name-column' }
  const rows = table.hasHeader ? table.rows.slice(1) : table.rows
  if (rows.length === 0) return { kind: 'empty' }
  if (rows.length > mostLines) return { kind: 'too-many-lines', lines: rows.length, most: mostLines }
  const children: ListedChild[] = []
  const problems: LineProblem[] = []
  const seen = new Map<string, number>()
  const inClass = new Set(present.map(fold))
  for (const { line, cells } of rows) {
    const cell = (column: Column) => cells[table.columns.indexOf(column)] ?? ''
    const { name, surname } = namesIn(cell('name').normalize('NFC').replace(/\s+/g, ' '))
    const initial = (cell('initial') || surname).normalize('NFC').slice(0, 1).toUpperCase()
    const yearText = cell('year')
    const key = fold(initial ? `${name} ${initial}` : name)
    const problem = problemOf()
    if (problem) problems.push(problem)
    else children.push({ line, name, initial, year: yearText === '' ? null : yearOf(yearText) })
    if (!seen.has(key)) seen.set(key, line)

    function problemOf(): LineProblem | null {
      const used = cells.filter((_, i) => table.columns[i] !== 'ignore')
      const formula = used.find((value) => /^[=+@]|^-\D/.test(value))
      if (formula !== undefined) return { line, kind: 'formula', value: formula.slice(0, 40) }
      if (name === '') return { line, kind: 'no-name' }
      if (name.length > longestName) return { line, kind: 'too-long', value: name.slice(0, 40) }
      if (!isName(name)) return { line, kind: 'unreadable', value: name }
      if (seen.has(key)) return { line, kind: 'twice', name, first: seen.get(key)! }
      if (inClass.has(key)) return { line, kind: 'in-class', name }
      if (yearText !== '' && yearOf(yearText) === null) return { line, kind: 'unknown-year', value: yearText }
      return null
    }
  }
  return { children, problems }
}

/** “Smith, Ella” in one cell: a register's way of writing surname and first name. */
function namesIn(cell: string): { name: string; surname: string } {
  const parts = /^([^,]+),\s*([^,]+)$/.exec(cell)
  return parts ? { name: parts[2], surname: parts[1] } : { name: cell, surname: '' }
}

const fold = (name: string) => name.toLocaleLowerCase('en').normalize('NFC')

/** A byte-order mark: without it some spreadsheets read letters beyond the English ones wrongly. */
const byteOrderMark = '\uFEFF'

/**
 * The list of a class for a spreadsheet: what is read in comes out again. A value that a spreadsheet would take for a
 * formula begins with an apostrophe.
 */
export function writeClassList(
  children: readonly { name: string; initial: string; year: YearGroup }[],
): string {
  const rows = children.map(({ name, initial, year }) => [name, initial, year])
  return (
    byteOrderMark +
    Papa.unparse([['Name', 'Initial', 'Year'], ...rows], { escapeFormulae: true, newline: '\r\n' }) +
    '\r\n'
  )
}
