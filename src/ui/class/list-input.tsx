'use client'

import { useRef, useState } from 'react'
import Form from 'react-bootstrap/Form'
import {
  columns as columnKinds,
  decodeText,
  mostLines,
  readChildren,
  readTable,
  type Column,
  type LineProblem,
  type ListedChild,
  type ListProblem,
  type RawTable,
} from '@/core/formats/class-list'

export interface ReadyList {
  text: string
  columns: Column[]
  hasHeader: boolean
  children: ListedChild[]
}

const columnWords: Record<Column, string> = {
  name: 'First name',
  initial: 'Initial',
  year: 'Year group',
  ignore: 'Leave out',
}

/** What is wrong with a list as a whole, for the person who pasted it. */
function listProblemInWords(problem: ListProblem): string {
  switch (problem.kind) {
    case 'empty':
      return 'The list is empty.'
    case 'not-utf8':
      return 'The file is not in UTF-8, so names with accents would come out wrong. Save it as “CSV UTF-8”, or paste the names.'
    case 'too-many-lines':
      return `The list has ${problem.lines.toLocaleString('en-GB')} lines; a class list holds at most ${problem.most}.`
    case 'no-name-column':
      return 'Say which column holds the first names.'
  }
}

function lineProblemInWords(problem: LineProblem): string {
  const line = `Line ${problem.line}`
  switch (problem.kind) {
    case 'no-name':
      return `${line} has no name.`
    case 'twice':
      return `${line}: ${problem.name} is already on line ${problem.first}. Add an initial to tell them apart.`
    case 'in-class':
      return `${line}: ${problem.name} is in the class already.`
    case 'formula':
      return `${line} holds a formula (${problem.value}), not a name.`
    case 'too-long':
      return `${line}: “${problem.value}…” is too long for a first name.`
    case 'unknown-year':
      return `${line}: “${problem.value}” is not a year group.`
    case 'unreadable':
      return `${line}: “${problem.value}” does not read as a name.`
  }
}

interface Reading {
  table: RawTable | null
  children: ListedChild[]
  problems: string[]
}

function read(
  text: string,
  mapping: { columns: Column[]; hasHeader: boolean } | null,
  present: readonly string[],
): Reading {
  if (text.trim() === '') return { table: null, children: [], problems: [] }
  const raw = readTable(text)
  if ('kind' in raw) return { table: null, children: [], problems: [listProblemInWords(raw)] }
  const table = mapping && mapping.columns.length === raw.columns.length ? { ...raw, ...mapping } : raw
  const list = readChildren(table, present)
  if ('kind' in list) return { table, children: [], problems: [listProblemInWords(list)] }
  return { table, children: list.children, problems: list.problems.map(lineProblemInWords) }
}

/** Paste or upload of a class list, with column mapping and a preview; nothing is written here. */
export function ListInput({
  present = [],
  onRead,
}: {
  present?: readonly string[]
  onRead: (list: ReadyList | null) => void
}) {
  const [text, setText] = useState('')
  const [mapping, setMapping] = useState<{ columns: Column[]; hasHeader: boolean } | null>(null)
  const [fileProblem, setFileProblem] = useState<string | null>(null)
  const file = useRef<HTMLInputElement>(null)
  const reading = read(text, mapping, present)
  const problems = fileProblem ? [fileProblem] : reading.problems

  function update(nextText: string, nextMapping: typeof mapping) {
    setText(nextText)
    setMapping(nextMapping)
    setFileProblem(null)
    const { table, children, problems: found } = read(nextText, nextMapping, present)
    const ready = table && found.length === 0 && children.length > 0
    onRead(ready ? { text: nextText, columns: table.columns, hasHeader: table.hasHeader, children } : null)
  }

  async function upload(chosen: File | undefined) {
    if (!chosen) return
    const tooLarge = chosen.size > 1_000_000
    const decoded = tooLarge ? null : decodeText(new Uint8Array(await chosen.arrayBuffer()))
    if (decoded !== null) return update(decoded, null)
    update('', null)
    setFileProblem(
      tooLarge
        ? 'The file is larger than a class list can be (1 MB).'
        : listProblemInWords({ kind: 'not-utf8' }),
    )
  }

  return (
    <div className="list-input">
      <div>
        <Form.Group controlId="list-text">
          <Form.Label>Children</Form.Label>
          <Form.Control
            as="textarea"
            rows={12}
            value={text}
            placeholder={'Paste first names, one a line'}
            aria-describedby="list-help"
            onChange={({ target }) => update(target.value, null)}
          />
          <Form.Text id="list-help">
            First names or nicknames are enough. A table from a spreadsheet works too, up to {mostLines}{' '}
            lines.
          </Form.Text>
        </Form.Group>
        <button type="button" className="btn btn-quiet btn-sm mt-12" onClick={() => file.current?.click()}>
          Choose a file instead
        </button>
        <input
          ref={file}
          type="file"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          className="visually-hidden"
          tabIndex={-1}
          aria-label="Class list file"
          onChange={({ target }) => {
            void upload(target.files?.[0])
            target.value = ''
          }}
        />
      </div>
      <div aria-live="polite">
        {problems.length > 0 && (
          <div className="problem" role="alert">
            <strong>Nothing is imported yet.</strong>
            <ul>
              {problems.slice(0, 12).map((problem) => (
                <li key={problem}>{problem}</li>
              ))}
            </ul>
            {problems.length > 12 && `and ${problems.length - 12} more`}
          </div>
        )}
        {reading.table && reading.table.columns.length > 1 && (
          <div className="mapping">
            {reading.table.columns.map((column, index) => (
              <Form.Group key={index} controlId={`column-${index}`}>
                <Form.Label className="tiny">
                  {reading.table!.hasHeader
                    ? reading.table!.rows[0].cells[index] || `Column ${index + 1}`
                    : `Column ${index + 1}`}
                </Form.Label>
                <Form.Select
                  size="sm"
                  value={column}
                  onChange={({ target }) => {
                    const columns = reading.table!.columns.with(index, target.value as Column)
                    update(text, { columns, hasHeader: reading.table!.hasHeader })
                  }}
                >
                  {columnKinds.map((kind) => (
                    <option key={kind} value={kind}>
                      {columnWords[kind]}
                    </option>
                  ))}
                </Form.Select>
              </Form.Group>
            ))}
            <Form.Check
              id="has-header"
              label="First line is a heading"
              checked={reading.table.hasHeader}
              onChange={({ target }) =>
                update(text, { columns: reading.table!.columns, hasHeader: target.checked })
              }
            />
          </div>
        )}
        {reading.children.length > 0 && (
          <>
            <h2 className="section">
              {reading.children.length === 1 ? '1 child' : `${reading.children.length} children`}
            </h2>
            <ol className="name-list">
              {reading.children.map(({ line, name, initial, year }) => (
                <li key={line}>
                  {name} {initial} {year && <span className="muted tiny">{year}</span>}
                </li>
              ))}
            </ol>
          </>
        )}
      </div>
    </div>
  )
}
