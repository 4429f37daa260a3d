import {
  decodeText,
  readChildren,
  readTable,
  writeClassList,
  type RawTable,
  type ReadList,
} from './class-list'

const table = (text: string) => readTable(text) as RawTable
const read = (text: string, present: string[] = []) => readChildren(table(text), present) as ReadList

test('names one a line', () => {
  expect(read('Ama\nBruno\r\nChidi\n').children.map(({ name }) => name)).toEqual(['Ama', 'Bruno', 'Chidi'])
})

test.each([
  ['commas', 'Name,Year\nAma,Year 1\nBruno,Y2'],
  ['semicolons, as a spreadsheet in German writes them', 'Name;Year\nAma;1\nBruno;2'],
  ['tabs', 'Name\tYear\nAma\tYear 1\nBruno\tYear 2'],
  ['a byte-order mark and quotes', '\uFEFF"Name","Year"\n"Ama","Year 1"\n"Bruno","2"'],
])('%s', (_kind, text) => {
  expect(read(text)).toMatchObject({
    problems: [],
    children: [
      { line: 2, name: 'Ama', year: 'Year 1' },
      { line: 3, name: 'Bruno', year: 'Year 2' },
    ],
  })
})

test('without a heading the columns are guessed, and the mapping can be changed', () => {
  const raw = table('Ama,K,1\nBruno,L,2')
  expect(raw).toMatchObject({ hasHeader: false, columns: ['name', 'ignore', 'year'] })
  const { children } = readChildren({ ...raw, columns: ['name', 'initial', 'year'] }) as ReadList
  expect(children[0]).toMatchObject({ name: 'Ama', initial: 'K', year: 'Year 1' })
})

test('“Smith, Ella” is read as surname and first name; a list with years or without a blank is not', () => {
  const raw = table('Smith, Ella\nO’Brien, Tom\nvan Dijk, Mia')
  expect(raw.columns).toEqual(['initial', 'name'])
  expect((readChildren(raw) as ReadList).children).toMatchObject([
    { name: 'Ella', initial: 'S' },
    { name: 'Tom', initial: 'O' },
    { name: 'Mia', initial: 'V' },
  ])
  expect(table('Ama,Kite\nBruno,Lark').columns).toEqual(['name', 'ignore'])
  expect(table('Ama, Year 1\nBruno, Year 2').columns).toEqual(['name', 'year'])
})

test('each bad line is named with its reason', () => {
  const text = [
    'Name,Year',
    'Ama,1',
    ',2',
    'ama,1',
    '=SUM(A1:A9),1',
    'Zo3y!,1',
    'Pia,Year 9',
    `${'x'.repeat(41)},1`,
    'Bo,1',
  ].join('\n')
  expect(read(text, ['Bo']).problems).toMatchObject([
    { line: 3, kind: 'no-name' },
    { line: 4, kind: 'twice', first: 2 },
    { line: 5, kind: 'formula' },
    { line: 6, kind: 'unreadable' },
    { line: 7, kind: 'unknown-year' },
    { line: 8, kind: 'too-long' },
    { line: 9, kind: 'in-class' },
  ])
})

test('an empty line inside a list is nothing; a line without a name is told by its number in the list', () => {
  expect(read('Ama\n\nBruno')).toMatchObject({ problems: [], children: [{ line: 1 }, { line: 3 }] })
  expect(read('Ama,1\n\n,2\nBruno,1').problems).toEqual([{ line: 3, kind: 'no-name' }])
})

test.each(['\t', ';', ','])(
  'two columns with “%s” between, of one to nine children, with line breaks at the end',
  (sign) => {
    const names = ['Ella', 'Tom', 'Mia', 'Ama', 'Bo', 'Chidi', 'Dara', 'Eve', 'Finn']
    for (let many = 1; many <= names.length; many++)
      for (const end of ['', '\n', '\r\n\r\n']) {
        const { children, problems } = read(
          names
            .slice(0, many)
            .map((name) => `${name}${sign}Year 1`)
            .join('\n') + end,
        )
        expect([many, end, problems]).toEqual([many, end, []])
        expect(children.map(({ name, year }) => [name, year])).toEqual(
          names.slice(0, many).map((name) => [name, 'Year 1']),
        )
      }
  },
)

test.each([
  'Pupil Name',
  'Full name',
  'Forename',
  'First names',
  'Student',
  'Legal Forename',
  'Preferred Forename',
  'Child’s name',
])('a column headed “%s” holds the names', (heading) => {
  expect(read(`UPN,${heading},Reg Group\nA1,Ama,1K\nA2,Bruno,1K`).children.map(({ name }) => name)).toEqual([
    'Ama',
    'Bruno',
  ])
})

test('names of parents, teachers and schools are not the children’s', () => {
  for (const heading of [
    'Teacher name',
    'Class name',
    'School name',
    'Emergency contact name',
    'Middle name',
    'Username',
  ])
    expect(read(`${heading},Pupil name\nMs Lee,Ama`).children.map(({ name }) => name)).toEqual(['Ama'])
})

test('of a school’s export the name a child is called by is taken, and the surname for its initial', () => {
  const text =
    'Legal Surname,Legal Forename,Preferred Forename,NC Year,Telephone\nSmith,Eleanor,Ella,1,+44 1632 960000\n'
  expect(read(text)).toMatchObject({
    problems: [],
    children: [{ name: 'Ella', initial: 'S', year: 'Year 1' }],
  })
  expect(read('Name,Telephone\nAma,=1+1').problems).toEqual([])
  expect(read('Name,Initial\nAma,=1+1').problems).toMatchObject([{ kind: 'formula' }])
})

test('“Smith, Ella” in one cell is surname and first name', () => {
  for (const text of ['Pupil Name,Year\n"Smith, Ella",1', 'Name;Year\nSmith, Ella;1', 'Name\n"Smith, Ella"'])
    expect(read(text)).toMatchObject({ problems: [], children: [{ name: 'Ella', initial: 'S' }] })
})

test('ten thousand lines are no class list', () => {
  const text = Array.from({ length: 10_000 }, (_, i) => `Child ${i}`).join('\n')
  expect(readTable(text)).toEqual({ kind: 'too-many-lines', lines: 10_000, most: 60 })
})

test('wrong encoding is told, UTF-16 with its mark is read', () => {
  expect(decodeText(Uint8Array.from([0x5a, 0x6f, 0xeb]))).toBeNull()
  expect(decodeText(new TextEncoder().encode('Zoë'))).toBe('Zoë')
  expect(decodeText(Uint8Array.from([0xff, 0xfe, 0x5a, 0, 0x6f, 0, 0xeb, 0]))).toBe('Zoë')
  expect(readTable('Zo\uFFFD')).toEqual({ kind: 'not-utf8' })
  expect(readTable('  \n ')).toEqual({ kind: 'empty' })
})

test('names of many languages are names', () => {
  for (const name of ['Zoë', 'Jean-Luc', 'D’Arcy', 'Nguyễn', 'Łucja', 'أمل', '小明', 'Mary Ann'])
    expect(read(name).problems).toEqual([])
})

test('a list that is written is read again as it was', () => {
  const children = [
    { name: 'Ama', initial: '', year: 'Reception' as const },
    { name: 'Jean-Luc', initial: 'B', year: 'Year 1' as const },
    { name: 'O’Neil, the “tall”'.replace(/[,“”]/g, ''), initial: '', year: 'Year 2' as const },
    { name: 'Łucja', initial: 'Ż', year: 'Year 2' as const },
  ]
  expect(
    read(writeClassList(children)).children.map(({ name, initial, year }) => ({ name, initial, year })),
  ).toEqual(children)
})

test('nothing in a written list is taken for a formula, nor breaks out of its cell', () => {
  // Signs by which spreadsheets know a formula: OWASP, CSV Injection.
  for (const sign of ['=', '+', '-', '@', '\t', '\r']) {
    const text = writeClassList([{ name: `${sign}HYPERLINK("x")`, initial: '', year: 'Year 1' }])
    const [, line] = text.split('\r\n')
    expect(line.replace(/^"/, '')).toMatch(/^'/)
  }
  const quoted = writeClassList([{ name: 'a","b', initial: '', year: 'Year 1' }])
  expect(table(quoted).rows[1].cells).toEqual(['a","b', '', 'Year 1'])
})
