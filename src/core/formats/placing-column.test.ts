import { readPlacingColumn, type ColumnLine } from './placing-column'

const children = ['Ama', 'Bruno', 'Chidi', 'Élodie'].map((name, i) => ({ id: `child-${i}`, name }))
const read = (text: string, strand: 'add' | 'numerals' = 'add') => readPlacingColumn(text, children, strand)
const told = (lines: ColumnLine[]) => lines.map(({ child, step }) => [child?.name ?? null, step])

test('a column goes down the list; an empty line leaves its child as it is', () => {
  expect(told(read('count on to 10\n\nParts of 10.\n'))).toEqual([
    ['Ama', 'count-on-10'],
    ['Chidi', 'complements-10'],
  ])
})

test.each([
  ['tabs', 'Chidi\tcount on to 20\nama\tparts of 5'],
  ['semicolons', 'Chidi;count on to 20\nama;parts of 5'],
  ['commas', 'Chidi, count on to 20\nama, parts of 5'],
])('names beside the steps, with %s: in any order, capitals or not', (_kind, text) => {
  expect(told(read(text))).toEqual([
    ['Chidi', 'count-on-20'],
    ['Ama', 'parts-of-5'],
  ])
})

test('a step is named by its short name, its sentence, its id, its number or a part that only it has', () => {
  const numerals = read('10\nReads and finds numerals to 20.\nwrite-100\nto 1000', 'numerals')
  expect(told(numerals).map(([, step]) => step)).toEqual([
    'numerals-10',
    'numerals-20',
    'write-100',
    'numerals-1000',
  ])
  expect(told(read('make ten'))).toEqual([['Ama', 'make-ten-20']])
})

test('what can’t be taken is told with its line and its reason, and nothing else is lost', () => {
  const lines = read('count on to 10\ntake away\nflying\nparts of 5\nparts of 10')
  expect(told(lines)).toEqual([
    ['Ama', 'count-on-10'],
    // Three steps have it in their names.
    ['Bruno', null],
    ['Chidi', null],
    ['Élodie', 'parts-of-5'],
    [null, null],
  ])
  expect(lines.flatMap((line) => ('why' in line ? [`${line.line}: ${line.why}`] : []))).toEqual([
    '2: “take away” is no step of Add and subtract.',
    '3: “flying” is no step of Add and subtract.',
    '5: There are fewer children than lines.',
  ])
  const [stranger] = read('Zoë\tparts of 5\nAma\tparts of 5')
  expect(stranger).toMatchObject({ child: null, why: 'Nobody chosen is called “Zoë”.' })
})

test('nothing pasted is nothing placed', () => {
  expect(read('')).toEqual([])
  expect(read(' \n\n')).toEqual([])
})
