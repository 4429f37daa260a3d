import { changeChild } from '../classes'
import { keepDraft } from '../drafts/drafts'
import { planPage, savePlan } from '../plan/plan'
import { runPage, heldOnPaper, sheetsPage, tapClock } from '../run'
import { recordMark } from '../marks/marks'
import { childPage } from '../progress'
import { exportClass } from '../keeping/documents'
import { grouped, mark, names, newClass, openTestSchool, planned, rowsOf, viewer } from '../testing/school'
import { countInBag, missInBag, previewPages, printPage, printPdf, putIntoBags } from './print'
import { readPdf } from './testing/read'

openTestSchool()

async function plannedClass() {
  const classId = await newClass()
  await grouped(classId)
  const sessionId = await planned(classId)
  return { classId, sessionId }
}

type Page = NonNullable<Awaited<ReturnType<typeof printPage>>>
const itemsOf = ({ bundles }: Page) => bundles.flatMap(({ items }) => items)
const needed = (page: Page) =>
  Object.fromEntries(itemsOf(page).flatMap(({ id, role, count }) => (role === 'needed' ? [[id, count]] : [])))
const job = (counts: Record<string, number>) => ({ counts })
/** Everything that is printed for the room. */
const roomCounts = (page: Page) =>
  Object.fromEntries(page.bundles.at(-1)!.items.map(({ id }) => [id, 1] as const))

test('a class without a session has nothing to print for; a game has', async () => {
  const classId = await newClass()
  expect(await printPage(viewer, { classId })).toBeNull()
  await expect(previewPages(viewer, { classId, job: job({}) })).rejects.toThrow('No session is planned')
  const page = await printPage(viewer, { classId, what: { kind: 'game', gameId: 'landfall' } })
  expect(page!.bundles.map(({ title }) => title)).toEqual(['Landfall'])
  await expect(
    printPage(viewer, { classId, what: { kind: 'game', gameId: 'landfall', levelId: 'none' } }),
  ).rejects.toThrow('nothing here')
})

test('the pile of the next session: as many pages as were told, in the order of the bags', async () => {
  const { classId } = await plannedClass()
  const page = (await printPage(viewer, { classId }))!
  const counts = needed(page)
  const preview = await previewPages(viewer, { classId, job: job(counts) })
  const { pages, pdf } = await printPdf(viewer, { classId, job: job(counts) })
  const found = await readPdf(pdf)
  expect(pages).toBe(preview.total)
  expect(found.pages).toHaveLength(preview.total)
  const bags = page.bundles.filter(({ isBag }) => isBag).map(({ title }) => title)
  const feet = found.pages.map(({ texts, height }) => texts.find(({ y }) => y > height - 12)!.text)
  const order = feet.map((foot) => bags.findIndex((title) => foot.startsWith(title)))
  expect(order).toEqual([...order].sort((a, b) => a - b))
  expect(new Set(order).size).toBe(bags.length)
})

test('what came out is in the bags: nothing is left to print, until one is missing', async () => {
  const { classId } = await plannedClass()
  const page = (await printPage(viewer, { classId }))!
  await putIntoBags(viewer, { classId, bags: needed(page) })
  // Said again because its answer was lost, it is the same.
  await putIntoBags(viewer, { classId, bags: needed(page) })
  const after = itemsOf((await printPage(viewer, { classId }))!)
  for (const { role, count, inBag } of after)
    if (role === 'needed') expect(inBag).toEqual({ count, missing: 0, laminated: false })
  const [first] = after
  await countInBag(viewer, { classId, item: first.id, count: first.count, missing: 0, laminated: true })
  // Seen at the station.
  await missInBag(viewer, { classId, item: first.id })
  const bagOf = async () => itemsOf((await printPage(viewer, { classId }))!)[0].inBag
  expect(await bagOf()).toEqual({ count: first.count, missing: 1, laminated: true })
  // Printed again, the missing one is made up for and no more.
  await putIntoBags(viewer, { classId, bags: { [first.id]: first.count } })
  expect(await bagOf()).toEqual({ count: first.count, missing: 0, laminated: false })
  // None can be missing of nothing, nor more than there are.
  await missInBag(viewer, { classId, item: 'landfall/nothing of the kind' })
  await countInBag(viewer, { classId, item: first.id, count: 1, missing: 5, laminated: false })
  expect(await bagOf()).toEqual({ count: 1, missing: 1, laminated: false })
  // It goes along with the class.
  const document = await exportClass(viewer, { classId })
  expect(document.tables.bag_item).toContainEqual(
    expect.objectContaining({ item: first.id, count: 1, missing: 1 }),
  )
})

test('papers for the room name who is where; the observation sheet has its children in the order of typing in', async () => {
  const { classId } = await plannedClass()
  const page = (await printPage(viewer, { classId }))!
  const { pdf } = await printPdf(viewer, { classId, job: job(roomCounts(page)) })
  const { pages } = await readPdf(pdf)
  const textOf = (title: string) =>
    pages
      .filter(({ texts }) => texts.some(({ text }) => text.includes(`For the room · ${title}`)))
      .map(({ texts }) => texts.map(({ text }) => text).join('\n'))
  const [chart] = textOf('room chart')
  for (const group of ['Kelp', 'Samphire']) expect(chart).toContain(group)
  const [cover] = textOf('cover page')
  for (const name of names) expect(cover).toContain(name)

  const board = (await runPage(viewer, { classId }))!
  const sheets = textOf('observation sheets')
  expect(sheets).toHaveLength(board.stations.length)
  board.stations.forEach(({ id, title }, position) => {
    expect(sheets[position]).toContain(title)
    const listed = board.visits
      .filter(({ stationId }) => stationId === id)
      .flatMap(({ seats, children }) =>
        seats.flat().map((child) => children.find((one) => one.id === child)!.name),
      )
    const lines = sheets[position].split('\n').filter((line) => names.includes(line.trim()))
    expect(lines.map((line) => line.trim())).toEqual(listed)
  })
})

test('a session held on paper is typed in afterwards, and counts for its own day', async () => {
  const { classId, sessionId } = await plannedClass()
  // Its time has not come: nobody can have held it.
  await expect(heldOnPaper(viewer, { classId, sessionId })).rejects.toThrow('has not begun yet')
  const session = (await runPage(viewer, { classId }))!
  expect(session.session.state).toBe('planned')
  const before = process.env.ISLANDS_CLOCK
  try {
    process.env.ISLANDS_CLOCK = '2026-11-27T15:00:00Z'
    await heldOnPaper(viewer, { classId, sessionId })
    // Said twice, it was held once.
    await heldOnPaper(viewer, { classId, sessionId })
    const board = await sheetsPage(viewer, { classId, sessionId })
    const visit = board.visits[0]
    const [seen, wrote] = visit.children
    const madeAt = '2026-11-27T15:01:00Z'
    await recordMark(viewer, { classId, ...mark(visit.id, seen.id, { madeAt }) })
    await recordMark(viewer, {
      classId,
      ...mark(visit.id, wrote.id, { judged: null, right: 7, of: 10, sheet: true, madeAt }),
    })
    const { records } = await childPage(viewer, { classId, pupilId: seen.id })
    expect(records[0]).toMatchObject({ judged: 'own', schoolDay: board.day })
    const document = await exportClass(viewer, { classId })
    const weights = document.tables.observation!.map(({ pupil_id, weight }) => [pupil_id, weight])
    // A sheet that nobody watched counts half.
    expect(new Map(weights as [string, number][])).toEqual(
      new Map([
        [seen.id, 1],
        [wrote.id, 0.5],
      ]),
    )
  } finally {
    process.env.ISLANDS_CLOCK = before
  }
})

test('held on paper today by mistake, it is reopened today', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const sessionId = crypto.randomUUID()
  const plan = { ...view!.plan, day: '2026-11-24', startsAt: '08:30' }
  await savePlan(viewer, { classId, sessionId, groupingId: view!.groupingId, plan })
  await heldOnPaper(viewer, { classId, sessionId })
  expect(await runPage(viewer, { classId })).toBeNull()
  const slot = plan.slots - 1
  await tapClock(viewer, { classId, sessionId, tap: 'back', slot })
  expect((await runPage(viewer, { classId }))!.session).toMatchObject({
    id: sessionId,
    state: 'running',
    slot,
  })
})

test('a session under way is not held on paper, and sheets of what was never begun can’t be typed in', async () => {
  const { classId, sessionId } = await plannedClass()
  await expect(sheetsPage(viewer, { classId, sessionId })).rejects.toThrow('nothing here')
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  await expect(heldOnPaper(viewer, { classId, sessionId })).rejects.toThrow('under way')
})

test('names of any script come out whole; a letter that no font has is told before', async () => {
  const { classId } = await plannedClass()
  const board = (await runPage(viewer, { classId }))!
  const [a, b, c, d] = board.visits[0].children
  const given = ['נועם', 'ليلى', 'Łucja', 'Zoë 美']
  for (const [i, { id }] of [a, b, c, d].entries())
    await changeChild(viewer, { classId, pupilId: id, name: given[i], yearGroup: 'Year 1' })
  const counts = { 'room/name pegs': 1, 'room/group signs': 1 }
  const { lettersWithout, total } = await previewPages(viewer, { classId, job: job(counts) })
  expect(lettersWithout).toEqual(['美'])
  const { pdf } = await printPdf(viewer, { classId, job: job(counts) })
  const found = await readPdf(pdf)
  expect(found.pages).toHaveLength(total)
  const text = found.pages.flatMap(({ texts }) => texts.map((one) => one.text)).join(' ')
  // A reader gives the letters in the order they are read, whichever side they stand from; Arabic ones by their forms.
  const together = text.normalize('NFKC').replace(/ /g, '')
  for (const name of ['נועם', 'Łucja', 'Zoë']) expect(together).toContain(name)
  expect(
    [...text.normalize('NFKC')].filter((letter) => 'ليلى'.includes(letter)).length,
  ).toBeGreaterThanOrEqual(8)
  expect(text).not.toContain('美')
})

test('a job that nobody can mean is refused with words, and keeps nothing', async () => {
  const { classId } = await plannedClass()
  const page = (await printPage(viewer, { classId }))!
  const many = Object.fromEntries(itemsOf(page).map(({ id }) => [id, 300]))
  await expect(printPdf(viewer, { classId, job: job(many) })).rejects.toThrow(
    /more than anybody cuts out|pages, and/,
  )
  const [{ id }] = itemsOf(page)
  for (const count of [501, -1, 1.5, NaN, 1e9])
    await expect(previewPages(viewer, { classId, job: job({ [id]: count }) })).rejects.toThrow()
  expect(await rowsOf(`bag_item where class_id = '${classId}'`)).toBe(0)
  // What is no item of the pile is not printed.
  const { total } = await previewPages(viewer, { classId, job: job({ 'no such thing': 5 }) })
  expect(total).toBe(0)
})

test('pages of a plan that was changed since say so', async () => {
  const { classId } = await plannedClass()
  expect((await printPage(viewer, { classId }))!.changesWait).toBe(false)
  const { view, standing } = await planPage(viewer, { classId })
  await keepDraft(viewer, {
    classId,
    kind: 'plan',
    follows: null,
    revision: crypto.randomUUID(),
    before: standing!,
    steps: [{ do: { groupingId: view!.groupingId, plan: { ...view!.plan, slotMinutes: 9 } } }],
  })
  expect((await printPage(viewer, { classId }))!.changesWait).toBe(true)
  expect((await printPage(viewer, { classId, what: { kind: 'game', gameId: 'perch' } }))!.changesWait).toBe(
    false,
  )
})

test('a kit for home is for the child asked for, in the language asked for, and tells of nobody else', async () => {
  const { classId } = await plannedClass()
  const board = (await runPage(viewer, { classId }))!
  const { groupId, children } = board.visits[0]
  const what = { kind: 'group' as const, groupId }
  const page = (await printPage(viewer, { classId, what, language: 'de' }))!
  expect(page.bundles).toHaveLength(children.length - page.without.length)
  expect(page.bundles.length).toBeGreaterThan(0)
  const one = page.bundles[0]
  const [child] = children.filter(({ id }) => one.id.endsWith(id))
  const counts = Object.fromEntries(one.items.map(({ id, count }) => [id, count]))
  const { pdf } = await printPdf(viewer, { classId, what, language: 'de', job: job(counts) })
  const found = await readPdf(pdf)
  expect(found.pages.length).toBeLessThanOrEqual(4)
  const text = found.pages.flatMap(({ texts }) => texts.map((each) => each.text)).join(' ')
  expect(text).toContain('Ein Spiel für zu Hause')
  expect(text).toContain(child.name)
  for (const name of names) if (name !== child.name) expect(text).not.toMatch(new RegExp(`\\b${name}\\b`))
})
