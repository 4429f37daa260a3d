import { addChildren, classTable, createClass, place } from './classes'
import { Refused } from './use-case'
import { list, names, newClass, openTestSchool, rowsOf, viewer } from './testing/school'

openTestSchool()

test('a class is created with every child placed by year group', async () => {
  const classId = await newClass()
  const { rows: table } = await classTable(viewer, { classId })
  expect(table.map(({ name }) => name)).toEqual(names)
  for (const { cells } of table) expect(cells.add!.observations).toBe(0)
})

test('a list with a bad line writes nothing at all', async () => {
  const before = [await rowsOf('classroom'), await rowsOf('pupil')]
  const input = {
    classId: crypto.randomUUID(),
    name: 'Bad',
    yearGroup: 'Year 1' as const,
    list: list('Ama\n=1+1\nBo'),
  }
  await expect(createClass(viewer, input)).rejects.toThrow('Line 2')
  expect([await rowsOf('classroom'), await rowsOf('pupil')]).toEqual(before)
})

test('the same name twice in a class is refused', async () => {
  const classId = await newClass()
  await expect(addChildren(viewer, { classId, list: list('Ida\nAma') })).rejects.toThrow(Refused)
  expect((await classTable(viewer, { classId })).rows).toHaveLength(8)
})

test('placing a child again moves the estimate there', async () => {
  const classId = await newClass()
  const [ama] = (await classTable(viewer, { classId })).rows
  await place(viewer, {
    classId,
    placements: [{ pupilId: ama.id, strand: 'add', step: 'make-ten-20', sureness: 'sure' }],
  })
  const after = (await classTable(viewer, { classId })).rows.find(({ id }) => id === ama.id)!
  expect(after.cells.add!.p50).toBeCloseTo(9 * 1.5 + 0.5, 1)
  await expect(
    place(viewer, {
      classId,
      placements: [{ pupilId: ama.id, strand: 'add', step: 'to-the-moon', sureness: 'sure' }],
    }),
  ).rejects.toThrow('no such step')
})

test('the class table shows any set of strands, and a child can be placed on strands that nobody has looked at', async () => {
  const classId = await newClass()
  const { rows: all, strands } = await classTable(viewer, { classId, set: 'counting' })
  expect(strands).toEqual(['count', 'count-back', 'order'])
  const [child] = all
  expect(child.cells.count).toMatchObject({ observations: 0 })
  await place(viewer, {
    classId,
    placements: [{ pupilId: child.id, strand: 'count', step: 'count-120', sureness: 'sure' }],
  })
  const after = (await classTable(viewer, { classId, set: 'counting' })).rows.find(
    ({ id }) => id === child.id,
  )!
  expect(after.cells.count!.p50).toBeGreaterThan(child.cells.count!.p50)
  // What is not a set shows the first.
  expect((await classTable(viewer, { classId, set: 'none' as never })).set).toBe('numbers')
})
