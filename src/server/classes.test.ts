import { addChildren, changeChild, classTable, createClass, place, setLeft } from './classes'
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

test('children stand as a register has them, can be called otherwise, leave and come back', async () => {
  const classId = crypto.randomUUID()
  const names = 'Zoë\nElla\nÉlodie\nEmre'
  await createClass(viewer, { classId, name: 'Knot', yearGroup: 'Year 1', list: list(names) })
  const table = async () => classTable(viewer, { classId })
  const called = async () => (await table()).rows.map(({ name }) => name)
  expect(await called()).toEqual(['Ella', 'Élodie', 'Emre', 'Zoë'])
  const idOf = async (name: string) => (await table()).rows.find((row) => row.name === name)!.id

  const pupilId = await idOf('Ella')
  await expect(changeChild(viewer, { classId, pupilId, name: 'Emre', yearGroup: 'Year 1' })).rejects.toThrow(
    'Emre is in the class already',
  )
  await expect(changeChild(viewer, { classId, pupilId, name: '=1', yearGroup: 'Year 1' })).rejects.toThrow(
    'does not read as a name',
  )
  await changeChild(viewer, { classId, pupilId, name: ' Nell ', initial: 'b', yearGroup: 'Year 2' })
  expect(await called()).toEqual(['Élodie', 'Emre', 'Nell B', 'Zoë'])
  expect((await table()).rows[2]).toMatchObject({ id: pupilId, yearGroup: 'Year 2' })

  await setLeft(viewer, { classId, pupilId, left: true })
  expect(await called()).toEqual(['Élodie', 'Emre', 'Zoë'])
  expect((await table()).left).toEqual([{ id: pupilId, name: 'Nell B' }])
  await setLeft(viewer, { classId, pupilId, left: false })
  expect(await called()).toHaveLength(4)
})
