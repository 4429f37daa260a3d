import { statements, statementsFor } from './curricula'
import { strandOf, strands, type StrandId } from './index'

const find = (code: string) => statements.find((one) => one.code === code)!
const steps = new Map(
  strands.flatMap(({ id, steps: all }) => all.map((step) => [step.id, { strand: id, step }] as const)),
)

test('every statement is served by steps that exist, and is there once', () => {
  for (const { steps: named } of statements)
    for (const id of named) expect([id, steps.has(id)]).toEqual([id, true])
  const codes = statements.map(({ document, code }) => `${document} ${code}`)
  expect(new Set(codes).size).toBe(codes.length)
})

test('every step serves a statement, but those that only lead up to one', () => {
  // Colour patterns and seeing six stand in guidance, not in a statement of these documents.
  const leadingUp = ['count-5', 'back-5', 'see-6', 'pattern-ab', 'pattern-aab', 'pattern-abc']
  for (const { id, steps: all } of strands)
    all.forEach((step) => {
      const served = statementsFor({ strand: id, step: step.id }).length > 0
      expect([step.id, served]).toEqual([step.id, !leadingUp.includes(step.id)])
    })
})

// Codes and contents of the published documents named in curricula.ts, from memory.
test('facts of the Common Core State Standards (2010)', () => {
  expect(find('K.CC.A.1')).toMatchObject({
    to: 100,
    asks: expect.stringMatching(/ones and by tens/) as string,
  })
  expect(find('K.CC.A.1').steps).toEqual(expect.arrayContaining(['count-100', 'tens-100']))
  expect(find('K.CC.A.3')).toMatchObject({
    to: 20,
    steps: expect.arrayContaining(['numerals-20']) as string[],
  })
  expect(find('K.OA.A.5').to).toBe(5)
  expect(find('K.OA.A.4').steps).toEqual(['complements-10'])
  expect(find('1.NBT.A.1')).toMatchObject({
    to: 120,
    steps: expect.arrayContaining(['count-120', 'numerals-120']) as string[],
  })
  expect(find('1.OA.C.6')).toMatchObject({
    to: 20,
    asks: expect.stringMatching(/fluently within 10/) as string,
  })
  expect(find('2.NBT.A.2')).toMatchObject({
    to: 1000,
    asks: expect.stringMatching(/fives, tens and hundreds/) as string,
  })
  expect(find('2.OA.B.2')).toMatchObject({ to: 20, asks: expect.stringMatching(/fluently/) as string })
})

test('facts of the National Curriculum in England (2013)', () => {
  expect(find('Y1 place value: counting')).toMatchObject({
    to: 100,
    asks: expect.stringMatching(/to and across 100/) as string,
  })
  expect(find('Y1 place value: numerals and steps').asks).toMatch(/twos, fives and tens/)
  expect(find('Y1 addition: bonds')).toMatchObject({ to: 20, asks: expect.stringMatching(/bonds/) as string })
  expect(find('Y2 place value: steps').asks).toMatch(/2, 3 and 5 from 0, and in tens/)
})

test('facts of the early learning goals (2021)', () => {
  expect(find('Number 1').to).toBe(10)
  expect(find('Number 2')).toMatchObject({ to: 5, steps: ['see-5'] })
  expect(find('Number 3').asks).toMatch(/bonds to 5/)
})

test('no step lies beyond the number that its statement names, by more than its own range', () => {
  for (const { code, to, steps: named } of statements)
    if (to !== undefined)
      for (const id of named) {
        const { range } = steps.get(id)!.step
        // A step may reach a little further (seeing six, tables to ten): at most to half as much again, or 20 more.
        expect([code, id, range.to <= Math.max(1.5 * to, to + 21)]).toEqual([code, id, true])
      }
})

test('easier steps of a ladder serve no later school year than harder ones, in the Common Core grades', () => {
  const grade = (code: string) => (code.startsWith('K') ? 0 : Number(code[0]))
  const earliest = (strand: StrandId, step: string) =>
    Math.min(
      ...statementsFor({ strand, step })
        .filter(({ document }) => document === 'ccss')
        .map(({ code }) => grade(code)),
    )
  for (const id of ['count', 'numerals', 'how-many', 'order', 'add', 'place', 'facts'] as const) {
    const grades = strandOf(id)
      .steps.map((step) => earliest(id, step.id))
      .filter((year) => year < Infinity)
    expect([id, grades]).toEqual([id, [...grades].sort((a, b) => a - b)])
  }
})
