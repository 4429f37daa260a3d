import { runPage } from '../src/server/run'
import { ownTeacher } from '../src/server/viewer'
import { Person } from './support/browser'
import { runningSession, withFolder } from './support/school'
import { freshFolder, startServer, type TestServer } from './support/server'

const viewer = ownTeacher()
const names = [
  ...['Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre', 'Freya', 'Goran', 'Hanne', 'Ines', 'Jonas', 'Kofi', 'Lian'],
  ...['Mei', 'Noor', 'Oskar', 'Paulo', 'Rosa', 'Sami'],
]
let server: TestServer
let person: Person
afterEach(async () => {
  await person?.leave()
  await server?.stop()
})

/** Opens the sheet, says what happened, and reads the ways. */
async function waysFor(what: string, which?: [string, string]): Promise<string[]> {
  await person.press('Late?')
  await (await person.find(`//label[normalize-space(.)="${what}"]`)).click()
  if (which) await person.choose(...which)
  await person.press('Show ways to go on')
  await person.find('//ol[@class="ways"]/li | //*[contains(., "No way keeps")]')
  return Promise.all((await person.all('.ways > li > strong')).map((way) => way.getText()))
}

const take = async (way: number) => {
  const buttons = await person.all('.ways .btn')
  await buttons[way].click()
  await person.waitFor(async () => (await person.all('.ways')).length === 0, 'the sheet to close')
}

const undo = async () => {
  await person.press('Late?')
  await person.press('Undo')
  await person.waitFor(async () => (await person.all('.offcanvas')).length === 0, 'the sheet to close')
}

test('ten minutes late, a lost slot, a missing adult, a failing station, a child alone: ways to go on, each undone again', async () => {
  const folder = freshFolder()
  const { classId } = await runningSession(folder, names)
  const page = await withFolder(folder, () => runPage(viewer, { classId }))
  const { stations, visits, session } = page!
  expect(session.slots).toBeGreaterThanOrEqual(3)
  server = await startServer(folder)
  person = await Person.at(server.url)
  await person.goTo(`/c/${classId}/run`)
  const slots = () => person.text('h1')

  const late = await waysFor('We are late')
  expect(await person.axe()).toEqual([])
  expect(late).toContainEqual(expect.stringMatching(/^Shorten each slot to \d+ minutes$/))
  await take(late.findIndex((way) => way.startsWith('Shorten')))
  await person.find('//*[normalize-space(.)="planned anew"]')
  await undo()
  await person.find('//*[starts-with(normalize-space(.), "planned until")]')

  const lost = await waysFor('A slot is lost')
  expect(lost).toContainEqual(expect.stringMatching(/^Leave out slot \d$/))
  expect(lost).toContainEqual(expect.stringMatching(/^Hold slot \d on the next school day$/))
  await take(lost.findIndex((way) => way.startsWith('Leave out')))
  await person.waitFor(async () => (await slots()) === `Slot 1 of ${session.slots - 1}`, 'one slot fewer')
  await undo()
  await person.waitFor(async () => (await slots()) === `Slot 1 of ${session.slots}`, 'the slot again')

  const missing = await waysFor('An adult is missing')
  expect(missing.length).toBeGreaterThan(0)
  await take(0)
  await person.waitFor(async () => !/with an adult/.test(await person.text('main')), 'no adult at a station')
  await undo()
  await person.waitFor(async () => /with an adult/.test(await person.text('main')), 'the adult again')

  const failing = stations.at(-1)!
  const [closing] = await waysFor('A station can’t go on', ['Which station', failing.title])
  expect(closing).toMatch(new RegExp(`^Close ${failing.title}: `))
  await take(0)
  const emptied = `//section[contains(@aria-label, "${failing.title}")]//*[normalize-space(.)="Empty in this slot."]`
  await person.find(emptied)
  await undo()
  await person.waitFor(
    async () => (await person.all('.station .child')).length === names.length,
    'everybody again',
  )

  // All but one of a group are away: the one plays with others.
  const group = visits.find(({ slot }) => slot === 0)!
  const [alone, ...away] = group.children
  for (const { name } of away) {
    const row = await person.find(
      `//*[@role="group" and @aria-label="${name}"]//button[contains(@class,"child-name")]`,
    )
    await row.click()
    await (await person.field('Away today')).click()
    await person.press('Close')
  }
  const { groupNames } = await import('../src/core/grouping/pennants')
  const together = await waysFor('A child is alone in its group', ['Which group', groupNames[group.pennant]])
  const joining = together.findIndex((way) => way.startsWith('Play with'))
  expect(joining).toBeGreaterThanOrEqual(0)
  await take(joining)
  await person.waitFor(async () => {
    const sets = await person.all('.set')
    const labels = await Promise.all(sets.map((set) => set.getAttribute('aria-label')))
    return labels.some((label) => label?.includes(alone.name) && label !== `${alone.name} together`)
  }, 'the child with others')
  // What is seen of it there is stored.
  await person.press(`${alone.name} on their own`)
  await person.waitFor(
    async () => (await person.text('.saved')) === 'All marks saved',
    'the mark to be saved',
  )
  await server.stop()
  await withFolder(folder, async () => {
    const { marks } = (await runPage(viewer, { classId }))!
    expect(marks.map(({ pupilId, judged }) => [pupilId, judged])).toEqual([[alone.id, 'own']])
  })
})
